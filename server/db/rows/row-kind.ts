import type { Transaction } from '../connect.ts';
import type { FieldDelta } from './field-delta.ts';

export interface Scope {
  site: string;
  account: string;
}

/** A row with the revision of the edit that wrote it last. */
export interface Versioned<R> {
  row: R;
  revision: number;
}

/** How one kind of row that a maker owns is read and written. What belongs to somebody else is not there for them. */
export interface RowKind<R extends { id: string }> {
  /** Whether its revision is of this row alone; a site's counts every edit of the site. */
  ownRevision: boolean;
  /** Fields that are recorded for undo by what changed in them; the others whole, before and after. */
  deltas?: Readonly<Record<string, FieldDelta<unknown>>>;
  /** As the whole row is kept in the record of edits, and read again whatever version kept it. */
  stored: { write(row: R): object; read(kept: unknown): R };
  /** The row, kept from changing until the transaction ends; null where this maker has none of that id. */
  read(tx: Transaction, scope: Scope, id: string): Promise<Versioned<R> | null>;
  insert(tx: Transaction, scope: Scope, row: R, revision: number): Promise<void>;
  update(tx: Transaction, scope: Scope, before: R, after: R, revision: number): Promise<void>;
  remove(tx: Transaction, id: string): Promise<void>;
}
