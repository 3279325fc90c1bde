import { and, eq, sql } from 'drizzle-orm';
import type { Live } from '#contract/sites.ts';
import { lowest, reaches } from '#core/content/height.ts';
import type { Draft } from '#core/content/site.ts';
import { differences } from '#core/release/differences.ts';
import type { Executor } from '../db/connect.ts';
import { linkKeys, releases } from '../db/schema.ts';
import type { SiteRow } from './load-draft.ts';

/** The keys of a site's links, by site or page id. */
export async function keysOf(db: Executor, site: string): Promise<Map<string, string>> {
  const rows = await db.select().from(linkKeys).where(eq(linkKeys.siteId, site));
  return new Map(rows.map((row) => [row.thing, row.key]));
}

/**
 * What readers see now and what waits. A site lowered since its release is closed at once, so readers reach no
 * higher than the lower of the two.
 */
export async function liveStatement(db: Executor, site: SiteRow, draft: Draft): Promise<Live> {
  const [release] =
    site.liveRelease === null
      ? []
      : await db
          .select({
            number: releases.number,
            name: releases.name,
            createdAt: releases.createdAt,
            source: releases.source,
            // A manifest is long; only which entrances it has is asked of it, after every edit.
            hasPublic: sql<boolean>`jsonb_typeof(${releases.manifest} -> 'public') = 'object'`,
            hasSiteLink: sql<boolean>`jsonb_typeof(${releases.manifest} -> 'siteLink') = 'object'`,
            pageLinks: sql<string[]>`array(select jsonb_object_keys(${releases.manifest} -> 'pageLinks'))`,
          })
          .from(releases)
          .where(and(eq(releases.id, site.liveRelease), eq(releases.siteId, site.id)));
  const waiting = differences(release?.source ?? null, draft);
  if (!release)
    return {
      release: null,
      readersReach: 'private',
      waiting,
      addressPath: null,
      siteLinkPath: null,
      pageLinkPaths: {},
    };
  const readersReach = lowest([release.source.site.height, site.height]);
  const keys = await keysOf(db, site.id);
  const linkOf = (thing: string, open: boolean): string | null => {
    const key = keys.get(thing);
    return open && key ? `/l/${key}/` : null;
  };
  const linksOpen = reaches(readersReach, 'unlisted');
  const pageLinkPaths: Record<string, string> = {};
  for (const page of release.pageLinks) {
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
