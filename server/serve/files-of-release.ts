import { and, eq } from 'drizzle-orm';
import type { Viewer } from '#core/access/viewer.ts';
import type { FileTree } from '#core/release/manifest.ts';
import type { Database } from '../db/connect.ts';
import { manifestOf } from '../db/release-manifest.ts';
import { releases, sites } from '../db/schema.ts';
import { notFound } from '../http/problem.ts';
import { releaseNumbered } from '../publish/release-rows.ts';
import type { SiteRow } from '../sites/load-draft.ts';
import { liveColumns, liveSite, openTree, treeOf } from './live-site.ts';

/**
 * The files of one way into a release; null where it has none.
 *
 * @param which `now`: of what readers have, as far as it is open to them; or a release by its number, whole
 * @throws Problem 404 of a release that never was
 */
export async function filesOfRelease(
  db: Database,
  site: SiteRow,
  which: 'now' | number,
  viewer: Viewer,
): Promise<FileTree | null> {
  if (which === 'now') {
    const [row] = await db
      .select(liveColumns)
      .from(sites)
      .innerJoin(releases, and(eq(releases.id, sites.liveRelease), eq(releases.siteId, sites.id)))
      .where(eq(sites.id, site.id));
    const live = row && (await liveSite(db, row));
    return live ? openTree(live, viewer, treeOf(live, viewer)) : null;
  }
  const release = await releaseNumbered(db, site.id, which);
  if (release === null) throw notFound('This release');
  return treeOf({ manifest: await manifestOf(db, release) }, viewer);
}
