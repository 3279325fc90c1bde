import type { Patch } from '#contract/patch.ts';
import type { SiteState } from '#contract/site-state.ts';
import { byRank } from '#core/pages/by-rank.ts';

/** The studio's copy of a site, with the revision at which each row was last received. */
export interface StudioSite extends SiteState {
  /** Rows not named here were last received with the whole site, at `receivedAt`. */
  seen: Record<string, number>;
  receivedAt: number;
}

/** A freshly loaded site. */
export function received(state: SiteState): StudioSite {
  return { ...state, seen: {}, receivedAt: state.revision };
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
  return {
    ...site,
    revision: patch.revision,
    site: patch.site && !keep.has(patch.site.id) ? patch.site : site.site,
    pages: patched(site.pages, wanted(patch.pages)).sort(byRank),
    materials: patched(site.materials, wanted(patch.materials)),
    history: patch.history,
    live: patch.live,
    seen,
  };
}
