import equal from 'fast-deep-equal';
import { Unreadable } from '#core/stored/stored-json.ts';
import type { RowKind } from './row-kind.ts';
import { rowKind, rowKinds, type RowChange, type Rows, type Table } from './rows.ts';

type Fields = Record<string, unknown>;

/**
 * What an edit did to one row, as it is kept for undo: the whole row where it came or went, otherwise only what changed,
 * so that what was done to the rest of the row since stays when this is taken back.
 */
export interface RecordedChange {
  /** Kept by a version before 2, which wrote none down, both rows are whole. */
  v: 2;
  table: Table;
  id: string;
  before: Fields | null;
  after: Fields | null;
  /** Fields that are recorded by what changed in them. */
  deltas?: Fields;
}

const deltasOf = (table: Table) => rowKind(table).deltas ?? {};

/** A whole row as it is kept. */
const whole = (table: Table, row: object | null): Fields | null =>
  row && { ...(rowKind(table) as RowKind<{ id: string }>).stored.write(row as { id: string }) };

/** What to keep of a change. */
export function recorded({ table, id, before, after }: RowChange): RecordedChange {
  if (before === null || after === null)
    return { v: 2, table, id, before: whole(table, before), after: whole(table, after) };
  const [was, is]: [Fields, Fields] = [{ ...before }, { ...after }];
  const known = deltasOf(table);
  const change: RecordedChange = { v: 2, table, id, before: {}, after: {} };
  for (const name of Object.keys({ ...was, ...is })) {
    if (equal(was[name], is[name])) continue;
    const delta = known[name];
    if (delta) change.deltas = { ...change.deltas, [name]: delta.of(was[name], is[name]) };
    else {
      (change.before as Fields)[name] = was[name];
      (change.after as Fields)[name] = is[name];
    }
  }
  return change;
}

/**
 * Reads what some version kept.
 *
 * @returns null for what only a newer version can read
 */
export function readRecorded(kept: unknown): RecordedChange | null {
  const change = kept as RecordedChange & { v?: unknown };
  if (!Object.hasOwn(rowKinds, change.table)) return null;
  if (change.v !== 2 && change.v !== undefined) return null;
  const isWhole = change.before === null || change.after === null;
  const read: RecordedChange =
    change.v === 2 || isWhole ? { ...change, v: 2 } : recorded(change as unknown as RowChange);
  return isReadable(read) ? read : null;
}

/** Whether a row that it keeps whole can be read; what a newer version kept is not guessed at. */
function isReadable({ table, before, after }: RecordedChange): boolean {
  const kept = before === null ? after : after === null ? before : null;
  try {
    if (kept) rowKind(table).stored.read(kept);
    return true;
  } catch (error) {
    if (error instanceof Unreadable) return false;
    throw error;
  }
}

/** Whether anything is left that it would change. */
export const changesNothing = ({ before, after, deltas }: RecordedChange): boolean =>
  before === null
    ? after === null
    : after !== null && Object.keys(after).length === 0 && deltas === undefined;

/** What leads back. */
export function inverse(change: RecordedChange): RecordedChange {
  const { table, before, after, deltas } = change;
  const known = deltasOf(table);
  return {
    ...change,
    before: after,
    after: before,
    ...(deltas && {
      deltas: Object.fromEntries(
        Object.entries(deltas).map(([name, delta]) => [name, known[name]?.inverse(delta)]),
      ),
    }),
  };
}

const pick = (row: object, names: readonly string[]): Fields =>
  Object.fromEntries(Object.entries(row).filter(([name]) => names.includes(name)));

/**
 * What a recorded change makes of a row as it is now.
 *
 * @returns what to write; null when the row was changed since in what this changes, came again or went
 */
export function applied<T extends Table>(change: RecordedChange, now: Rows[T] | null): RowChange | null {
  const { table, id, before, after, deltas } = change;
  const is = now as Fields | null;
  // A field that no row has any more says nothing about this one.
  const there = (fields: Fields) =>
    Object.fromEntries(Object.entries(fields).filter(([name]) => is !== null && Object.hasOwn(is, name)));
  const agrees = (fields: Fields) =>
    Object.entries(there(fields)).every(([name, value]) => equal(is?.[name], value));
  const made = (next: Fields | null) => ({ table, id, before: now, after: next }) as unknown as RowChange;
  const { stored } = rowKind(table) as RowKind<{ id: string }>;
  if (before === null) return is === null ? made(after && { ...stored.read(after) }) : null;
  // Of a row kept whole, fields that came later say nothing: they are not in what was kept.
  const was = after === null ? pick(stored.read(before), Object.keys(before)) : before;
  if (is === null || !agrees(was)) return null;
  if (after === null) return made(null);
  const next: Fields = { ...is, ...there(after) };
  for (const [name, delta] of Object.entries(deltas ?? {})) {
    const field = deltasOf(table)[name]?.apply(is[name], delta) ?? null;
    if (field === null) return null;
    next[name] = field;
  }
  return made(next);
}

/**
 * Puts a later change of a row behind an earlier one of the same row, as one.
 *
 * @returns null where the two do not follow on each other
 */
export function joined(earlier: RecordedChange, later: RowChange): RecordedChange | null {
  if (earlier.before === null) return recorded({ ...later, before: null } as RowChange);
  const back = applied(inverse(earlier), later.before);
  return back && recorded({ ...later, before: back.after } as RowChange);
}
