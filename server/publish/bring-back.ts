import { and, eq } from 'drizzle-orm';
import { narrowed } from '#core/release/narrowed.ts';
import { releasable } from '#core/release/released.ts';
import { shortened } from '#core/words/shortened.ts';
import { ceilingsOf } from '../db/ceilings.ts';
import { makeWhole } from '../db/release-manifest.ts';
import { sourceOf } from '../db/release-source.ts';
import { releases, sites } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import type { PublishDeps } from './made-files.ts';
import { ceilingsInside, release } from './release.ts';

/**
 * Brings back a release: readers have it again, but nothing of it that was closed since, wherever it stands in it and
 * whatever became of it. It is narrowed before it is switched to, and never after.
 *
 * @param id of the release
 */
export async function bringBack(deps: PublishDeps, site: string, id: number): Promise<void> {
  const [wanted] = await deps.db
    .select()
    .from(releases)
    .where(and(eq(releases.id, id), eq(releases.siteId, site)));
  if (!wanted) throw new Problem(404, 'not-found', 'This release is not here any more.');
  const had = await sourceOf(deps.db, site, wanted.source);
  const source = await deps.db.transaction(async (tx) => {
    await tx.select({ id: sites.id }).from(sites).where(eq(sites.id, site)).for('update');
    const lower = narrowed(had, await ceilingsOf(tx, site));
    if (!lower) {
      await makeWhole(tx, site, id);
      await tx.update(sites).set({ liveRelease: id }).where(eq(sites.id, site));
    }
    return lower;
  });
  if (source)
    await release(
      deps,
      releasable(source),
      shortened(`Release ${wanted.number} again, without what was closed since`, 120),
      { progress: () => {}, signal: new AbortController().signal },
      { ceilings: (tx) => ceilingsInside(tx, site) },
    );
}
