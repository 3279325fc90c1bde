import type { z } from 'zod';
import type { changePage } from '#contract/pages.ts';
import { hasField, isShown, type Page, type PageChange } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { partsSchema } from '#core/parts/parts.ts';
import { withPartsChange } from '#core/parts/parts-change.ts';
import type { Edit } from '../db/edit.ts';
import { joinedChange, type WantedChange } from '../db/joined-change.ts';
import { Problem } from '../http/problem.ts';

type Change = z.infer<typeof changePage.body>;

/**
 * What to write for a change of a page: its fields joined one by one, and its parts part by part.
 *
 * @returns see `joinedChange`
 * @throws Problem 409 where both have changed the same to something else, with the page as it is now
 */
export async function joinedPage(
  running: Edit,
  page: string,
  { parts, ...wanted }: Change,
): Promise<{ change: PageChange; joined: boolean }> {
  const laid = (row: Page) => (parts && isShown(row) ? withPartsChange(row.parts, parts) : null);
  const { row, joined, change } = await joinedChange(
    running,
    'page',
    page,
    // Whether the page has these fields at all is seen below, once its kind is known.
    { ...wanted, was: wanted.was ?? (parts && {}) } as WantedChange<Page>,
    (now) => (laid(now)?.conflicts.length ?? 0) > 0,
  );
  const foreign = Object.keys({ ...wanted.change, ...(parts && { parts }) }).find(
    (name) => !hasField(row, name),
  );
  if (foreign !== undefined)
    throw new Problem(400, 'not-of-this-page', `“${pageName(row)}” has nothing of the kind: ${foreign}.`);
  const all = laid(row);
  if (!all) return { change, joined };
  const checked = partsSchema.safeParse(all.parts);
  if (!checked.success)
    throw new Problem(400, 'parts', checked.error.issues[0]?.message ?? 'These parts cannot be kept.');
  return { change: { ...change, parts: checked.data }, joined };
}
