import { type Height, reaches } from '#core/access/height.ts';
import { joinedFields } from '#core/joining/joined-fields.ts';
import { type Edit, newer } from './edit.ts';
import { rowKind, type RowOf, type Table } from './rows/rows.ts';

export interface WantedChange<R> {
  change: Partial<R>;
  /** How the changed fields were before, as its maker saw them. */
  was?: Partial<R> | undefined;
  /** Its maker has been asked and wants this one, whatever it was changed to meanwhile. */
  overwrite?: boolean | undefined;
  /** The revision its maker was looking at. */
  seen: number;
}

/** Where both chose a height, the lower one holds: closing never waits for an answer. */
const lowers = (field: string, mine: unknown, theirs: unknown): boolean =>
  field === 'height' && reaches(theirs as Height, mine as Height);

/**
 * What to write for a change of a row, joined field by field with what others have changed of it since.
 *
 * @param alsoConflicts whether something beside the fields stands against it
 * @returns the fields to write, and whether changes of others were in the row that the maker had not seen
 * @throws Problem 409 where both have changed the same to something else, with the row as it is now
 */
export async function joinedChange<T extends Table>(
  running: Edit,
  table: T,
  id: string,
  { change, was, overwrite = false, seen }: WantedChange<RowOf<T>>,
  alsoConflicts: (row: RowOf<T>) => boolean = () => false,
): Promise<{ change: Partial<RowOf<T>>; joined: boolean; row: RowOf<T> }> {
  const current = await running.find(table, id);
  const { row } = current;
  const isNewer = rowKind(table).ownRevision && current.revision > seen;
  if (overwrite) return { change, joined: isNewer, row };
  // Without a word on how it was, the revision is all there is to go by.
  if (!was) {
    if (isNewer) throw newer(current);
    return { change, joined: false, row };
  }
  const fields = joinedFields({ ...row }, { ...was }, { ...change });
  const [mine, theirs]: Record<string, unknown>[] = [{ ...change }, { ...row }];
  const conflicts = fields.conflicts.filter((field) => !lowers(field, mine?.[field], theirs?.[field]));
  if (conflicts.length > 0 || alsoConflicts(row)) throw newer(current);
  // Every member was checked on its own and joined only with others of the same row.
  return { change: fields.change as Partial<RowOf<T>>, joined: isNewer, row };
}
