import { type Height, reaches } from '#core/access/height.ts';
import { joinedFields } from '#core/joining/joined-fields.ts';
import { type Edit, newer } from './edit.ts';
import { rowKind, type RowOf, type Table } from './rows/rows.ts';

export interface WantedChange<R> {
  change: Partial<R>;
  /** How the changed fields were before, as its maker saw them. */
  was?: Partial<R> | undefined;
  /** Its maker has been asked: this one holds, or what it was changed to meanwhile. */
  decided?: 'mine' | 'theirs' | undefined;
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
  { change, was, decided, seen }: WantedChange<RowOf<T>>,
  alsoConflicts: (row: RowOf<T>) => boolean = () => false,
): Promise<{ change: Partial<RowOf<T>>; joined: boolean; row: RowOf<T> }> {
  const current = await running.find(table, id);
  const { row } = current;
  const isNewer = rowKind(table).ownRevision && current.revision > seen;
  if (decided) return { change, joined: isNewer, row };
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

/** What of a change is a place among others or an address: giving it back later could take it from somebody else. */
const places = new Set(['parent', 'rank', 'slug', 'address']);

/** Writes a joined change; or, where its maker took the newer one instead, keeps it for an undo and writes nothing. */
export async function settleChange<T extends Table>(
  running: Edit,
  table: T,
  id: string,
  change: Partial<RowOf<T>>,
  decided: WantedChange<RowOf<T>>['decided'],
): Promise<void> {
  if (decided !== 'theirs') return void (await running.update(table, id, change));
  const kept = Object.entries(change).filter(([field]) => !places.has(field));
  // The same members with some left out.
  await running.giveUp(table, id, Object.fromEntries(kept) as Partial<RowOf<T>>);
}
