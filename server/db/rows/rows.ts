import type { Transaction } from '../connect.ts';
import { materialRow } from './material-row.ts';
import { pageRow } from './page-row.ts';
import type { RowKind, Scope } from './row-kind.ts';
import { siteRow } from './site-row.ts';

/** Every kind of row that an edit can write, by the name it has in the record of edits. */
export const rowKinds = { site: siteRow, page: pageRow, material: materialRow };

type Kinds = typeof rowKinds;
export type Table = keyof Kinds;
/** The rows by those names. */
export type Rows = { [T in Table]: Kinds[T] extends RowKind<infer R> ? R : never };
export type RowOf<T extends Table> = Rows[T];

/** One row before and after an edit; null where it did not exist. */
export type RowChange = {
  [T in Table]: { table: T; id: string; before: RowOf<T> | null; after: RowOf<T> | null };
}[Table];

/** The kind of row of one name. Which row goes with which name is checked where a change is made. */
export const rowKind = <T extends Table>(table: T): RowKind<RowOf<T>> =>
  rowKinds[table] as unknown as RowKind<RowOf<T>>;

/** Makes a row what a change says: there, changed or gone. */
export async function write(
  tx: Transaction,
  scope: Scope,
  { table, id, before, after }: RowChange,
  revision: number,
): Promise<void> {
  const kind = rowKind(table) as RowKind<{ id: string }>;
  if (after === null) await kind.remove(tx, id);
  else if (before === null) await kind.insert(tx, scope, after, revision);
  else await kind.update(tx, scope, before, after, revision);
}
