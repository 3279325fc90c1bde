import type { Id } from '#core/id.ts';
import type { Draft } from '#core/sites/site.ts';
import { releasable } from '#core/release/released.ts';
import { withStaying } from '#core/release/staying.ts';
import { takeUpWithRelease } from '../comments/comment-rows.ts';
import { ceilingsSince, raiseToPublished } from '../db/ceilings.ts';
import type { Progress, PublishDeps } from './made-files.ts';
import { release } from './release.ts';

/** A draft as it was at one revision of its site. */
export interface DraftAt {
  draft: Draft;
  revision: number;
}

/**
 * Publishes a draft: filters it into what each entrance may see, makes what is missing, and switches readers over
 * in one transaction at the very end. Until then, and after a crash at any point, readers have the old release. What was
 * lowered while it ran is not opened by it.
 *
 * @param staying pages that are to stay as readers have them, and what readers have; see `withStaying`
 * @returns the number of the new release
 * @throws the signal's reason when it was cancelled
 */
export async function publish(
  deps: PublishDeps,
  { draft, revision }: DraftAt,
  name: string,
  progress: Progress,
  signal: AbortSignal,
  staying: { had: Draft | null; pages: ReadonlySet<Id> } = { had: null, pages: new Set() },
): Promise<number> {
  const wanted = withStaying(staying.had, draft, staying.pages);
  const number = await release(
    deps,
    releasable(wanted),
    name,
    { progress, signal },
    {
      ceilings: (tx) => ceilingsSince(tx, draft.site.id, revision),
      switched: async (tx) => {
        await raiseToPublished(tx, draft.site.id, wanted, revision);
        await takeUpWithRelease(tx, draft.site.id, staying.pages, new Date());
      },
    },
  );
  return number ?? 0;
}
