import { and, eq, sql } from 'drizzle-orm';
import { lowest } from '#core/access/height.ts';
import { narrowed, siteReach } from '#core/release/narrowed.ts';
import type { Draft } from '#core/sites/site.ts';
import { ceilingsOf, linkPictures, searchEngines } from '../db/ceilings.ts';
import type { Executor } from '../db/connect.ts';
import { releases } from '../db/schema.ts';
import type { SiteRow } from './load-draft.ts';
import { studioMemory } from './studio-memory.ts';

/** The live release and what readers have of it now. */
export interface HadNow {
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

/** What readers of a site have now; null before its first release. */
export async function hadNow(db: Executor, site: SiteRow): Promise<HadNow | null> {
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
  const had = release && (await hadOf(db, site, site.liveRelease));
  return had ? { ...release, ...had } : null;
}

/** What readers of any release have of it now, as if it were live; null where it is not the site's. */
export async function hadOf(
  db: Executor,
  site: SiteRow,
  release: number,
): Promise<Pick<HadNow, 'now' | 'untidy'> | null> {
  const source = await studioMemory(db).released.load(db, site.id, release);
  if (!source) return null;
  const ceilings = await ceilingsOf(db, site.id);
  const lower = narrowed(source, ceilings);
  const had = lower ?? source;
  return {
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
