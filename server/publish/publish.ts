import type { Id } from '#core/id.ts';
import type { Draft } from '#core/sites/site.ts';
import type { Page } from '#core/pages/page.ts';
import { releasable } from '#core/release/released.ts';
import { ceilingsSince, raiseToPublished } from '../db/ceilings.ts';
import type { Progress, PublishDeps } from './made-files.ts';
import { release } from './release.ts';

/** A draft as it was at one revision of its site. */
export interface DraftAt {
  draft: Draft;
  revision: number;
}

/** The draft without pages that their maker does not want to show yet. They stay as they are in the draft itself. */
const without = (draft: Draft, notYet: ReadonlySet<Id>): Draft =>
  notYet.size === 0
    ? draft
    : {
        ...draft,
        pages: draft.pages.map((page): Page => (notYet.has(page.id) ? { ...page, height: 'private' } : page)),
      };

/**
 * Publishes a draft: filters it into what each entrance may see, makes what is missing, and switches readers over
 * in one transaction at the very end. Until then, and after a crash at any point, readers have the old release. What was
 * lowered while it ran is not opened by it.
 *
 * @param notYet pages that no reader has had, and that are to stay so
 * @returns the number of the new release
 * @throws the signal's reason when it was cancelled
 */
export async function publish(
  deps: PublishDeps,
  { draft, revision }: DraftAt,
  name: string,
  progress: Progress,
  signal: AbortSignal,
  notYet: ReadonlySet<Id> = new Set(),
): Promise<number> {
  const wanted = without(draft, notYet);
  const number = await release(
    deps,
    releasable(wanted),
    name,
    { progress, signal },
    {
      ceilings: (tx) => ceilingsSince(tx, draft.site.id, revision),
      switched: (tx) => raiseToPublished(tx, draft.site.id, wanted, revision),
    },
  );
  return number ?? 0;
}
