import { joinedFields } from '#core/content/joined-fields.ts';
import type { Page } from '#core/content/page.ts';
import { partsSchema } from '#core/parts/parts.ts';
import { withPartsChange } from '#core/parts/parts-change.ts';
import type { z } from 'zod';
import type { changePage } from '#contract/sites.ts';
import { type Edit, newer } from '../db/edit.ts';
import { Problem } from '../http/problem.ts';

type Change = z.infer<typeof changePage.body>;

/**
 * What to write for a change of a page, joined with what others have changed on it since.
 *
 * @returns the fields to write, and whether changes of others were on the page that the maker had not seen
 * @throws Problem 409 where both have changed the same to something else, with the page as it is now
 */
export async function joinedChange(
  running: Edit,
  page: string,
  { change, parts, was, overwrite = false, seen }: Change,
): Promise<{ change: Partial<Page>; joined: boolean }> {
  const current = await running.find('page', page);
  const isNewer = current.revision > seen;
  // Without a word on how it was, the revision is all there is to go by.
  if (!was && !parts) {
    if (isNewer && !overwrite) throw newer(current);
    return { change, joined: false };
  }
  const fields = joinedFields(current.row, was ?? {}, change);
  const laid = parts && withPartsChange(current.row.parts, parts);
  if (!overwrite && (fields.conflicts.length > 0 || (laid?.conflicts.length ?? 0) > 0)) throw newer(current);
  // Every member was checked on its own and joined only with others of the same page.
  const wanted: Partial<Page> = overwrite ? change : (fields.change as Partial<Page>);
  if (laid) {
    const checked = partsSchema.safeParse(laid.parts);
    if (!checked.success)
      throw new Problem(400, 'parts', checked.error.issues[0]?.message ?? 'These parts cannot be kept.');
    wanted.parts = checked.data;
  }
  return { change: wanted, joined: isNewer };
}
