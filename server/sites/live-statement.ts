import type { Live } from '#contract/site-state.ts';
import { seenBy } from '#core/access/seen-by.ts';
import { reaches } from '#core/access/height.ts';
import type { Draft } from '#core/sites/site.ts';
import { differences } from '#core/release/differences.ts';
import { releasable } from '#core/release/released.ts';
import type { Executor } from '../db/connect.ts';
import { shownOn } from '#core/pages/page.ts';
import { hadNow } from './had-now.ts';
import type { SiteRow } from './load-draft.ts';
import { keysOf } from './site-rows.ts';

/** Ids of the pages, parts and materials that somebody else than the maker can see now. */
export async function shownToReaders(db: Executor, site: SiteRow): Promise<Set<string>> {
  const had = await hadNow(db, site);
  const shown = new Set<string>();
  if (!had || had.now.site.height === 'private') return shown;
  const { pages, materials } = releasable(had.now);
  for (const page of pages) {
    shown.add(page.id);
    for (const part of shownOn(page).parts) shown.add(part.id);
  }
  for (const { id } of materials) shown.add(id);
  return shown;
}

/**
 * What readers see now and what waits. What was lowered since the release is closed at once, so readers reach no higher
 * than the lower of the two.
 */
export async function liveStatement(db: Executor, site: SiteRow, draft: Draft): Promise<Live> {
  const release = await hadNow(db, site);
  const waiting = differences(release?.now ?? null, draft);
  if (!release)
    return {
      release: null,
      readersReach: 'private',
      waiting,
      addressPath: null,
      siteLinkPath: null,
      pageLinkPaths: {},
    };
  const readersReach = release.now.site.height;
  const keys = await keysOf(db, site.id);
  const linkOf = (thing: string, open: boolean): string | null => {
    const key = keys.get(thing);
    return open && key ? `/l/${key}/` : null;
  };
  const linksOpen = reaches(readersReach, 'unlisted');
  const pageLinkPaths: Record<string, string> = {};
  for (const page of release.pageLinks) {
    if (release.untidy && !seenBy(release.now, { kind: 'page-link', page })) continue;
    const path = linkOf(page, linksOpen);
    if (path) pageLinkPaths[page] = path;
  }
  return {
    release: {
      number: release.number,
      name: release.name,
      at: release.createdAt.toISOString(),
      live: true,
    },
    readersReach,
    waiting,
    addressPath: release.hasPublic && readersReach === 'public' && site.address ? `/${site.address}/` : null,
    siteLinkPath: linkOf(site.id, linksOpen && release.hasSiteLink),
    pageLinkPaths,
  };
}
