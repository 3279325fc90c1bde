import { and, desc, eq, sql } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import { wellFormedIn } from '#core/words/well-formed.ts';
import { Problem } from '../http/problem.ts';
import { closeLowered, lowerCeilings } from './ceilings.ts';
import type { Database, Transaction } from './connect.ts';
import type { Scope, Versioned } from './rows/row-kind.ts';
import {
  changesNothing,
  joined,
  readRecorded,
  recorded,
  type RecordedChange,
} from './rows/recorded-change.ts';
import { rowKind, type RowChange, type RowOf, type Table, write } from './rows/rows.ts';
import { edits, sites } from './schema.ts';

/** What the studio needs to bring its copy up to date after an edit, an undo or a redo. */
export interface EditResult {
  revision: number;
  changes: RowChange[];
  /** Ids of sites from whose readers something was taken, or that changed themselves: what is open of them has to be looked up anew. */
  concerns: readonly string[];
}

/** What changes nothing: for example the same file brought a second time. */
export const noEdit: EditResult = { revision: 0, changes: [], concerns: [] };

/** Refuses a change of what was changed meanwhile, with both versions. */
export function newer({ row, revision }: Versioned<RowOf<Table>>): Problem {
  return new Problem(409, 'newer', 'Also changed in another tab or on another device. Your words are kept.', {
    details: { theirs: row, revision },
  });
}

/** Changes rows and remembers how they were. The only way anything a maker owns is written. */
export class Edit {
  readonly changes: RowChange[] = [];
  /** Changes that were given up for what stands there: never written, and kept for an undo. */
  readonly givenUp: RowChange[] = [];
  /** Things readers lose at once, whatever the draft says of them. */
  readonly closed = new Set<string>();
  readonly #tx: Transaction;
  readonly #scope: Scope;
  readonly #revision: number;

  constructor(tx: Transaction, scope: Scope, revision: number) {
    this.#tx = tx;
    this.#scope = scope;
    this.#revision = revision;
  }

  /** For reading what an edit depends on, inside the same transaction. */
  get tx(): Transaction {
    return this.#tx;
  }

  async #apply(given: RowChange): Promise<void> {
    // Titles come from pages and files of others, too.
    const change = { ...given, after: wellFormedIn(given.after) } as RowChange;
    await write(this.#tx, this.#scope, change, this.#revision);
    this.changes.push(change);
  }

  /**
   * A row as it is now, kept from changing until this edit ends.
   *
   * @throws Problem 404 when it is gone
   */
  async find<T extends Table>(table: T, id: string): Promise<Versioned<RowOf<T>>> {
    const found = await rowKind(table).read(this.#tx, this.#scope, id);
    if (!found) throw new Problem(404, 'gone', 'This was deleted in the meantime. Undo brings it back.');
    return found;
  }

  async insert<T extends Table>(table: T, row: RowOf<T>): Promise<void> {
    await this.#apply({ table, id: row.id, before: null, after: row } as RowChange);
  }

  /**
   * Changes some columns of a row.
   *
   * @param seen the revision the maker was looking at; a row written since then is a conflict
   * @throws Problem 404 when the row is gone, 409 with both versions when it is newer than `seen`
   */
  async update<T extends Table>(
    table: T,
    id: string,
    change: Partial<RowOf<T>>,
    seen?: number,
  ): Promise<RowOf<T>> {
    const found = await this.find(table, id);
    const after: RowOf<T> = { ...found.row, ...change };
    if (seen !== undefined && rowKind(table).ownRevision && found.revision > seen) throw newer(found);
    if (!isDeepStrictEqual(after, found.row))
      await this.#apply({ table, id, before: found.row, after } as RowChange);
    return after;
  }

  /**
   * Keeps what a maker gave up for what stands there as two steps, to it and back: undo brings it, and one more what stood there.
   * Nothing is written by it.
   *
   * @throws Problem 404 when the row is gone
   */
  async giveUp<T extends Table>(table: T, id: string, change: Partial<RowOf<T>>): Promise<void> {
    const { row } = await this.find(table, id);
    const after = wellFormedIn<RowOf<T>>({ ...row, ...change });
    if (!isDeepStrictEqual(after, row)) this.givenUp.push({ table, id, before: row, after } as RowChange);
  }

  /** Takes pages, parts or materials from readers at once, until a publish opens them again. */
  close(things: Iterable<string>): void {
    for (const thing of things) this.closed.add(thing);
  }

  async remove(table: 'page' | 'material', id: string): Promise<void> {
    const found = await rowKind(table).read(this.#tx, this.#scope, id);
    if (!found) throw new Problem(404, 'gone', 'This is already gone.');
    await this.#apply({ table, id, before: found.row, after: null } as RowChange);
  }
}

/** Edits with the same key within this time become one step of undo. */
const mergeWithinMs = 15_000;

/**
 * Takes the site for this transaction and gives it the next revision, in one statement: two edits of one site wait
 * for each other here.
 *
 * @throws Problem 404 when the maker has no such site
 */
export async function nextRevision(tx: Transaction, scope: Scope): Promise<number> {
  const [site] = await tx
    .update(sites)
    .set({ revision: sql`nextval(pg_get_serial_sequence('edit', 'revision'))` })
    .where(and(eq(sites.id, scope.site), eq(sites.accountId, scope.account)))
    .returning({ revision: sites.revision });
  if (!site) throw new Problem(404, 'not-found', 'This site is not here any more.');
  return site.revision;
}

/** One change for each row, how it was first and how it is now, in the order in which the rows were touched. */
function byRow(changes: readonly RowChange[]): RowChange[] {
  const rows = new Map<string, RowChange>();
  for (const change of changes) {
    const key = `${change.table} ${change.id}`;
    const first = rows.get(key);
    rows.set(key, first ? ({ ...change, before: first.before } as RowChange) : change);
  }
  return [...rows.values()];
}

/** Lays a later edit over an earlier one as one step; null where they do not follow on each other. */
function mergeChanges(earlier: readonly unknown[], later: readonly RowChange[]): RecordedChange[] | null {
  const merged = new Map<string, RecordedChange>();
  for (const kept of earlier) {
    const change = readRecorded(kept);
    if (!change) return null;
    merged.set(`${change.table} ${change.id}`, change);
  }
  for (const change of later) {
    const key = `${change.table} ${change.id}`;
    const first = merged.get(key);
    const both = first ? joined(first, change) : recorded(change);
    if (!both) return null;
    merged.set(key, both);
  }
  return [...merged.values()].filter((change) => !changesNothing(change));
}

/**
 * Every write is an edit: runs `work` in one transaction, records each changed row before and after, gives the
 * site a new revision and forgets what was undone before. Work that changes nothing leaves no record.
 */
export async function edit(
  db: Database,
  scope: Scope,
  what: { label: string; mergeKey?: string | undefined },
  work: (edit: Edit) => Promise<void>,
): Promise<EditResult> {
  return db.transaction(async (tx) => {
    const revision = await nextRevision(tx, scope);
    const running = new Edit(tx, scope, revision);
    await work(running);
    const changes = running.changes;
    if (running.givenUp.length > 0) return keepGivenUp(tx, scope, what.label, running.givenUp, revision);
    const closing = await closeThings(tx, scope, running.closed, revision);
    if (changes.length === 0) return { revision, changes, concerns: closing };
    const closed = await closeLowered(tx, scope.site, changes, revision);
    const concerns = new Set(closing);
    if (closed || touchesSite(changes)) concerns.add(scope.site);

    await tx.delete(edits).where(and(eq(edits.siteId, scope.site), eq(edits.undone, true)));
    const [last] = await tx
      .select()
      .from(edits)
      .where(eq(edits.siteId, scope.site))
      .orderBy(desc(edits.revision))
      .limit(1);
    const merges =
      last &&
      what.mergeKey !== undefined &&
      last.mergeKey === what.mergeKey &&
      Date.now() - last.at.getTime() < mergeWithinMs;
    const rows = byRow(changes);
    const merged = merges ? mergeChanges(last.changes, rows) : null;
    // Typed and taken away again: there is no step that does nothing.
    if (merges && merged?.length === 0) await tx.delete(edits).where(eq(edits.revision, last.revision));
    else if (merges && merged)
      await tx
        .update(edits)
        .set({ revision, changes: merged, at: new Date() })
        .where(eq(edits.revision, last.revision));
    else
      await tx.insert(edits).values({
        revision,
        siteId: scope.site,
        label: what.label,
        mergeKey: what.mergeKey ?? null,
        changes: rows.map(recorded),
      });
    return { revision, changes, concerns: [...concerns] };
  });
}

/** Two steps of undo that come to nothing, so that one undo brings back what was given up; whatever was undone before goes. */
async function keepGivenUp(
  tx: Transaction,
  scope: Scope,
  label: string,
  given: readonly RowChange[],
  revision: number,
): Promise<EditResult> {
  await tx.delete(edits).where(and(eq(edits.siteId, scope.site), eq(edits.undone, true)));
  const back = given.map((one) => ({ ...one, before: one.after, after: one.before }) as RowChange);
  const step = { siteId: scope.site, mergeKey: null };
  await tx.insert(edits).values({ ...step, revision, label, changes: given.map(recorded) });
  const last = await nextRevision(tx, scope);
  const taken = `The newer one taken: ${label}`;
  await tx.insert(edits).values({ ...step, revision: last, label: taken, changes: back.map(recorded) });
  return { revision: last, changes: back, concerns: [] };
}

/**
 * Closes things on all sites of a maker: a material may stand on any of them.
 *
 * @returns ids of the sites on which it may have stood
 */
async function closeThings(
  tx: Transaction,
  scope: Scope,
  things: ReadonlySet<string>,
  revision: number,
): Promise<string[]> {
  if (things.size === 0) return [];
  const lowered = new Map([...things].map((thing) => [thing, 'private' as const]));
  const all = await tx
    .select({ id: sites.id })
    .from(sites)
    .where(eq(sites.accountId, scope.account))
    .orderBy(sites.id)
    .for('update');
  for (const { id } of all) await lowerCeilings(tx, id, lowered, revision);
  return all.map(({ id }) => id);
}

/** Whether the site’s own row is among what changed: what is open has to be looked up anew then. */
export const touchesSite = (changes: readonly RowChange[]): boolean =>
  changes.some(({ table }) => table === 'site');
