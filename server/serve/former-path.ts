import { and, eq } from 'drizzle-orm';
import { seenBy } from '#core/access/seen-by.ts';
import type { Viewer } from '#core/access/viewer.ts';
import type { FileTree } from '#core/release/manifest.ts';
import { wellFormed } from '#core/words/well-formed.ts';
import { pathsOf } from '#site/render/page-inputs.ts';
import type { Database } from '../db/connect.ts';
import { sourceOf } from '../db/release-source.ts';
import { formerPaths, releases, sites } from '../db/schema.ts';

/**
 * Where a page stands that readers had at a path that leads nowhere now. Only what this entrance may fetch is led on to, so
 * that for a page that is closed to it the answer is the one for what never was.
 *
 * @param tree the files of the entrance, as far as they are open now
 * @returns its path below the entrance; null where there is none
 */
export async function formerPath(
  db: Database,
  site: string,
  viewer: Viewer,
  tree: FileTree,
  asked: string,
): Promise<string | null> {
  const path = asked.endsWith('/') ? asked : `${asked}/`;
  if (path === '/' || wellFormed(path) !== path) return null;
  const entrance = viewer.kind === 'page-link' ? viewer.page : '';
  const [had] = await db
    .select({ page: formerPaths.pageId, source: releases.source })
    .from(formerPaths)
    .innerJoin(sites, eq(sites.id, formerPaths.siteId))
    .innerJoin(releases, eq(releases.id, sites.liveRelease))
    .where(and(eq(formerPaths.siteId, site), eq(formerPaths.entrance, entrance), eq(formerPaths.path, path)));
  if (!had) return null;
  const view = seenBy(await sourceOf(db, site, had.source), viewer);
  const now = view && pathsOf(view).get(had.page);
  return now !== undefined && now !== null && Object.hasOwn(tree, `${now}index.html`) ? now : null;
}
