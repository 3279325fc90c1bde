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
  deltas?: { [F in keyof R]?: FieldDelta<R[F]> };
  /** The row, kept from changing until the transaction ends; null where this maker has none of that id. */
  read(tx: Transaction, scope: Scope, id: string): Promise<Versioned<R> | null>;
  insert(tx: Transaction, scope: Scope, row: R, revision: number): Promise<void>;
  update(tx: Transaction, scope: Scope, before: R, after: R, revision: number): Promise<void>;
  remove(tx: Transaction, id: string): Promise<void>;
}
