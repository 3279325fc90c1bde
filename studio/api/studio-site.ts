import type { Patch } from '#contract/patch.ts';
import type { SiteState } from '#contract/site-state.ts';
import { byRank } from '#core/pages/by-rank.ts';

/** The studio's copy of a site, with the revision at which each row was last received. */
export interface StudioSite extends Omit<SiteState, 'begun'> {
  /** Materials of whose words only the beginning is here; see `useWholeWords`. */
  begun: ReadonlySet<string>;
  /** Rows not named here were last received with the whole site, at `receivedAt`. */
  seen: Record<string, number>;
  receivedAt: number;
}

/** A freshly loaded site. */
export function received(state: SiteState): StudioSite {
  return { ...state, begun: new Set(state.begun), seen: {}, receivedAt: state.revision };
}

/** The revision the maker is looking at for one row. */
export function seenRevision(site: StudioSite, row: string): number {
  return site.seen[row] ?? site.receivedAt;
}

function patched<T extends { id: string }>(rows: readonly T[], changes: Record<string, T | null>): T[] {
  const kept = rows.flatMap((row) => {
    const change = changes[row.id];
    return change === null ? [] : [change ?? row];
  });
  const known = new Set(rows.map((row) => row.id));
  const added = Object.values(changes).filter((row): row is T => row !== null && !known.has(row.id));
  return [...kept, ...added];
}

function without(begun: ReadonlySet<string>, whole: readonly string[]): ReadonlySet<string> {
  return whole.some((id) => begun.has(id)) ? new Set([...begun].filter((id) => !whole.includes(id))) : begun;
}

/**
 * Lays whole words over the beginnings of them.
 *
 * @param words by the materials' ids; where a material's words are whole already, they stay
 */
export function withWords(site: StudioSite, words: Readonly<Record<string, string>>): StudioSite {
  const fetched = Object.keys(words).filter((id) => site.begun.has(id));
  if (fetched.length === 0) return site;
  return {
    ...site,
    begun: without(site.begun, fetched),
    materials: site.materials.map((material) => {
      const transcript = site.begun.has(material.id) ? words[material.id] : undefined;
      return transcript === undefined ? material : { ...material, transcript };
    }),
  };
}

/** Lays a change made here over the studio's copy. */
export function withChange(
  site: StudioSite,
  kind: 'site' | 'page' | 'material',
  row: string,
  change: Record<string, unknown>,
): StudioSite {
  const changed = <T extends { id: string }>(rows: readonly T[]): T[] =>
    rows.map((one) => (one.id === row ? { ...one, ...change } : one));
  switch (kind) {
    case 'site':
      return { ...site, site: { ...site.site, ...change } };
    case 'page':
      return { ...site, pages: changed(site.pages) };
    case 'material':
      return {
        ...site,
        materials: changed(site.materials),
        begun: 'transcript' in change ? without(site.begun, [row]) : site.begun,
      };
  }
}

/**
 * Lays a patch from the server over the studio's copy.
 *
 * @param keep ids of rows the maker has changed since: they keep what is on the screen until it is saved
 */
export function applyPatch(
  site: StudioSite,
  patch: Patch,
  keep: ReadonlySet<string> = new Set(),
): StudioSite {
  const wanted = <T>(rows: Record<string, T>): Record<string, T> =>
    Object.fromEntries(Object.entries(rows).filter(([id]) => !keep.has(id)));
  const seen = { ...site.seen };
  for (const id of [...Object.keys(patch.pages), ...Object.keys(patch.materials)]) seen[id] = patch.revision;
  const changed = wanted(patch.materials);
  return {
    ...site,
    revision: patch.revision,
    site: patch.site && !keep.has(patch.site.id) ? patch.site : site.site,
    pages: patched(site.pages, wanted(patch.pages)).sort(byRank),
    materials: patched(site.materials, changed),
    begun: without(site.begun, Object.keys(changed)),
    history: patch.history,
    live: patch.live,
    seen,
  };
}
