import { eq } from 'drizzle-orm';
import { narrowed } from '#core/release/narrowed.ts';
import { releasable } from '#core/release/released.ts';
import { ceilingsOf } from '../db/ceilings.ts';
import { sourceOf } from '../db/release-source.ts';
import { releases, sites } from '../db/schema.ts';
import type { PublishDeps } from './made-files.ts';
import { ceilingsInside, release } from './release.ts';

/**
 * Makes a release of the live one's own content without what was closed since, so that readers have again what had to be
 * shut along with it. Nothing else of the draft reaches readers that way, and nothing is opened: what was closed is
 * closed already.
 */
export async function tidy(deps: PublishDeps, site: string): Promise<boolean> {
  const [live] = await deps.db
    .select({ id: releases.id, number: releases.number, source: releases.source })
    .from(sites)
    .innerJoin(releases, eq(releases.id, sites.liveRelease))
    .where(eq(sites.id, site));
  if (!live) return false;
  const source = await sourceOf(deps.db, site, live.source);
  const lower = narrowed(source, await ceilingsOf(deps.db, site));
  if (!lower) return false;
  await release(
    deps,
    releasable(lower),
    `Closed to some readers; otherwise as release ${live.number}`,
    { progress: () => {}, signal: new AbortController().signal },
    {
      ceilings: (tx) => ceilingsInside(tx, site),
      stillWanted: (now) => now === live.id,
    },
  );
  return true;
}
