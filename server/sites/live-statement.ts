import { and, eq, sql } from 'drizzle-orm';
import type { Live } from '#contract/site-state.ts';
import { seenBy } from '#core/access/seen-by.ts';
import { lowest, reaches } from '#core/access/height.ts';
import type { Draft } from '#core/sites/site.ts';
import { differences } from '#core/release/differences.ts';
import { releasable } from '#core/release/released.ts';
import { narrowed, siteReach } from '#core/release/narrowed.ts';
import { ceilingsOf, linkPictures, searchEngines } from '../db/ceilings.ts';
import type { Executor } from '../db/connect.ts';
import { shownOn } from '#core/pages/page.ts';
import { linkKeys, releases } from '../db/schema.ts';
import type { SiteRow } from './load-draft.ts';
import { studioMemory } from './studio-memory.ts';

/** The keys of a site's links, by site or page id. */
async function keysOf(db: Executor, site: string): Promise<Map<string, string>> {
  const rows = await db.select().from(linkKeys).where(eq(linkKeys.siteId, site));
  return new Map(rows.map((row) => [row.thing, row.key]));
}

/** The live release and what readers have of it now. */
interface HadNow {
  number: number;
  name: string;
  createdAt: Date;
  hasPublic: boolean;
  hasSiteLink: boolean;
  pageLinks: string[];
  /** The release's copy without what was closed since, its site as high as it is open. */
  now: Draft;
  /** Something of the release itself is closed, and one without it is still to be made. */
  untidy: boolean;
}

async function hadNow(db: Executor, site: SiteRow): Promise<HadNow | null> {
  if (site.liveRelease === null) return null;
  const [release] = await db
    .select({
      number: releases.number,
      name: releases.name,
      createdAt: releases.createdAt,
      // A manifest is long; only which entrances it has is asked of it, after every edit.
      hasPublic: sql<boolean>`jsonb_typeof(${releases.manifest} -> 'public') = 'object'`,
      hasSiteLink: sql<boolean>`jsonb_typeof(${releases.manifest} -> 'siteLink') = 'object'`,
      pageLinks: sql<string[]>`array(select jsonb_object_keys(${releases.manifest} -> 'pageLinks'))`,
    })
    .from(releases)
    .where(and(eq(releases.id, site.liveRelease), eq(releases.siteId, site.id)));
  const source = await studioMemory(db).released.load(db, site.id, site.liveRelease);
  if (!release || !source) return null;
  const ceilings = await ceilingsOf(db, site.id);
  const lower = narrowed(source, ceilings);
  const had = lower ?? source;
  return {
    ...release,
    untidy: lower !== null,
    now: {
      ...had,
      site: {
        ...had.site,
        height: lowest([siteReach(source, ceilings), site.height]),
        searchEngines: had.site.searchEngines && !ceilings.has(searchEngines),
        linkPictures: had.site.linkPictures && !ceilings.has(linkPictures),
      },
    },
  };
}

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
