import { eq } from 'drizzle-orm';
import { entrancesOf } from '#core/access/entrances.ts';
import { reaches } from '#core/access/height.ts';
import { seenBy } from '#core/access/seen-by.ts';
import type { Viewer } from '#core/access/viewer.ts';
import type { TriedWay } from '#core/outsider/outsider-test.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { shownOn } from '#core/pages/page.ts';
import { passState } from '#core/passes/pass-state.ts';
import { passViewer } from '#core/passes/pass-viewer.ts';
import type { Draft } from '#core/sites/site.ts';
import { pathsOf } from '#site/render/page-inputs.ts';
import type { Database } from '../db/connect.ts';
import { linkKeys } from '../db/schema.ts';
import { keyHash, passKey } from '../passes/pass-key.ts';
import { passRows } from '../passes/pass-rows.ts';
import { hadNow, hadOf } from '../sites/had-now.ts';
import { loadDraft, type SiteRow } from '../sites/load-draft.ts';

/** A way into a site with where it stands: its path is secret, and goes no further than the asking. */
export interface Way extends Pick<TriedWay, 'way' | 'meant' | 'shutBecause' | 'mayBeListed' | 'missing'> {
  path: string;
  /** What its readers are meant to get. */
  pages: { page: string; title: string; path: string }[];
}

export interface WaysOfSite {
  release: number | null;
  ways: Way[];
  /** Where pages would stand that are not for strangers. */
  guesses: { page: string; title: string; path: string }[];
}

/** The pages of a view that have an address, with where they stand below the way in. */
function pagesFor(had: Draft, viewer: Viewer): Way['pages'] {
  const view = seenBy(had, viewer);
  if (!view) return [];
  const names = new Map(had.pages.map((page) => [page.id, pageName(page)]));
  return [...pathsOf(view)].flatMap(([page, path]) => {
    const title = names.get(page);
    return title === undefined ? [] : [{ page, title: path === '' ? 'the front page' : title, path }];
  });
}

/** Every way into a site, open or shut, and what each is meant to do at an instant. */
export async function waysOfSite(
  db: Database,
  site: SiteRow,
  secret: Buffer,
  now: Date,
): Promise<WaysOfSite> {
  const [live, draft] = [await hadNow(db, site), await loadDraft(db, site)];
  if (!live) return { release: null, ways: [], guesses: [] };
  const had = live.now;
  const { height } = had.site;
  const nothing = { missing: [], mayBeListed: false };
  const shut = { ...nothing, pages: [], meant: 'shut' as const, shutBecause: 'height' as const };
  const ways: Way[] = [];

  const address = site.address;
  const forStrangers = height === 'public' ? pagesFor(had, { kind: 'stranger' }) : [];
  if (address !== null)
    ways.push(
      forStrangers.length > 0
        ? {
            ...{ ...nothing, way: { kind: 'address' }, path: `/${address}/`, meant: 'open' },
            ...{ pages: forStrangers, mayBeListed: had.site.searchEngines },
          }
        : { ...shut, way: { kind: 'address' }, path: `/${address}/` },
    );

  const nameOf = (thing: string): string => {
    const page = draft.pages.find(({ id }) => id === thing) ?? had.pages.find(({ id }) => id === thing);
    if (page) return pageName(page);
    const version = draft.pages.flatMap((one) => shownOn(one).parts).find(({ id }) => id === thing);
    return version?.kind === 'version' ? version.name || 'a version of the résumé' : 'a page';
  };
  const { pageLinks } = entrancesOf(had);
  for (const { thing, key } of await db.select().from(linkKeys).where(eq(linkKeys.siteId, site.id))) {
    const isSite = thing === site.id;
    // Every page has a key, and nobody is shown that of a page which has no link of its own.
    if (!isSite && !Object.hasOwn(pageLinks, thing)) continue;
    const viewer: Viewer = isSite ? { kind: 'site-link' } : { kind: 'page-link', page: thing };
    const pages = reaches(height, 'unlisted') ? pagesFor(had, viewer) : [];
    const way: Way['way'] = isSite
      ? { kind: 'site-link' }
      : { kind: 'page-link', thing, name: nameOf(thing) };
    ways.push(
      pages.length > 0
        ? { ...nothing, way, path: `/l/${key}/`, meant: 'open', pages }
        : { ...shut, way, path: `/l/${key}/` },
    );
  }

  const known = new Map(draft.pages.map((page) => [page.id, page]));
  const inDraft = (viewer: Viewer) => new Set(seenBy(draft, viewer)?.pages.map(({ id }) => id));
  for (const row of await passRows(db, site.id)) {
    const key = passKey(secret, row.id, row.generation);
    // Of a link that the server cannot tell any more nothing can be tried.
    if (keyHash(key) !== row.keyHash) continue;
    const viewer = passViewer(row);
    const state = passState(row, now);
    const base = { way: { kind: 'pass' as const, pass: row.id, name: row.label }, path: `/p/${key}/` };
    // A pass may keep a release that is over.
    const kept = row.pinned === null ? had : (await hadOf(db, site, row.pinned))?.now;
    const pages = kept && reaches(kept.site.height, 'invited') ? pagesFor(kept, viewer) : [];
    if (state !== 'open') {
      ways.push({ ...shut, ...base, shutBecause: state });
      continue;
    }
    const opened = new Set(pages.map(({ page }) => page));
    const wouldOpen = inDraft(viewer);
    const missing = (row.opens === 'site' ? [] : row.opens).flatMap((thing) => {
      const page = known.get(thing);
      if (!page || opened.has(thing) || !rulesOfPage(page).opens) return [];
      const because = wouldOpen.has(thing) ? ('waits' as const) : ('private' as const);
      return [{ page: thing, title: pageName(page), because }];
    });
    ways.push(
      pages.length > 0
        ? {
            ...base,
            ...{ pages, missing, mayBeListed: false },
            meant: row.passwordHash === null ? 'open' : 'password',
          }
        : { ...shut, ...base, missing },
    );
  }

  const open = new Set(forStrangers.map(({ page }) => page));
  const guesses =
    address === null
      ? []
      : pagesFor(draft, { kind: 'maker' })
          .filter(({ page, path }) => path !== '' && !open.has(page))
          .map(({ page, title, path }) => ({ page, title, path: `/${address}/${path}` }))
          // At the address of a page that is not for strangers another one may stand that is.
          .filter(({ path }) => !forStrangers.some((one) => `/${address}/${one.path}` === path));
  return { release: live.number, ways, guesses };
}
