import equal from 'fast-deep-equal';
import type { FieldDelta } from './field-delta.ts';
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

const deltasOf = (table: Table) => (rowKind(table).deltas ?? {}) as Record<string, FieldDelta<unknown>>;

/** What to keep of a change. */
export function recorded({ table, id, before, after }: RowChange): RecordedChange {
  if (before === null || after === null)
    return { v: 2, table, id, before: before as Fields | null, after: after as Fields | null };
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
  if (change.v === 2) return change;
  return change.v === undefined ? recorded(change as unknown as RowChange) : null;
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
  if (before === null) return is === null ? made(after) : null;
  if (is === null || !agrees(before)) return null;
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
