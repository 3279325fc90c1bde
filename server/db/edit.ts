import { and, desc, eq, sql } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { Material } from '#core/content/material.ts';
import type { Page } from '#core/content/page.ts';
import type { Site } from '#core/content/site.ts';
import { wellFormedIn } from '#core/words/well-formed.ts';
import { raisedBy } from '#core/access/raised-by.ts';
import { Problem } from '../http/problem.ts';
import { closeLowered, lowerCeilings } from './ceilings.ts';
import type { Database, Transaction } from './connect.ts';
import { heightsAround } from './heights-around.ts';
import { isNotUnique } from './not-unique.ts';
import { raisingSentence } from './raising-sentence.ts';
import { edits, formerAddresses, linkKeys, materials, pages, sites } from './schema.ts';
import { newKey } from './new-id.ts';

/** The rows a maker can change, by the name used in the record of edits. */
interface Rows {
  site: Site;
  page: Page;
  material: Material;
}
type Table = keyof Rows;

/** One row before and after an edit; null where it did not exist. */
export type RowChange = {
  [T in Table]: { table: T; id: string; before: Rows[T] | null; after: Rows[T] | null };
}[Table];

/** What the studio needs to bring its copy up to date after an edit, an undo or a redo. */
export interface EditResult {
  revision: number;
  changes: RowChange[];
  /** Something was taken from readers, or the site itself changed: what is open has to be looked up anew. */
  opens: boolean;
}

/** What changes nothing: for example the same file brought a second time. */
export const noEdit: EditResult = { revision: 0, changes: [], opens: false };

interface Versioned<R> {
  row: R;
  revision: number;
}

type Scope = { site: string; account: string };

const tables = { site: sites, page: pages, material: materials } as const;

const contentOf = {
  site: (row: typeof sites.$inferSelect): Site => ({
    id: row.id,
    title: row.title,
    height: row.height,
    address: row.address,
    searchEngines: row.searchEngines,
    theme: row.theme,
    evidenceWanted: row.evidenceWanted,
  }),
  page: (row: typeof pages.$inferSelect): Page => {
    const { siteId: _site, revision: _revision, ...page } = row;
    return page;
  },
  material: (row: typeof materials.$inferSelect): Material => {
    const { accountId: _account, revision: _revision, createdAt: _created, ...material } = row;
    // Kind and facts are two columns; they are only ever written together, from one Material.
    return material as Material;
  },
};
export { contentOf };

async function read<T extends Table>(
  tx: Transaction,
  scope: Scope,
  table: T,
  id: string,
): Promise<Versioned<Rows[T]> | null> {
  // One row of one of three known tables; the switch keeps each one's columns typed.
  const found = async (): Promise<Versioned<Rows[Table]> | null> => {
    switch (table) {
      case 'site': {
        const [row] = await tx
          .select()
          .from(sites)
          .where(and(eq(sites.id, id), eq(sites.id, scope.site)))
          .for('update');
        return row ? { row: contentOf.site(row), revision: row.revision } : null;
      }
      case 'page': {
        const [row] = await tx
          .select()
          .from(pages)
          .where(and(eq(pages.id, id), eq(pages.siteId, scope.site)))
          .for('update');
        return row ? { row: contentOf.page(row), revision: row.revision } : null;
      }
      default: {
        const [row] = await tx
          .select()
          .from(materials)
          .where(and(eq(materials.id, id), eq(materials.accountId, scope.account)))
          .for('update');
        return row ? { row: contentOf.material(row), revision: row.revision } : null;
      }
    }
  };
  return (await found()) as Versioned<Rows[T]> | null;
}

/** Makes the row what it should be: inserted, changed or gone. */
async function write(tx: Transaction, scope: Scope, change: RowChange, revision: number): Promise<void> {
  if (change.after === null) {
    await tx.delete(tables[change.table]).where(eq(tables[change.table].id, change.id));
    return;
  }
  switch (change.table) {
    case 'site': {
      if (change.before && change.before.address !== change.after.address) {
        if (change.before.address)
          await tx
            .insert(formerAddresses)
            .values({ address: change.before.address, siteId: scope.site })
            .onConflictDoNothing();
        if (change.after.address)
          await tx.delete(formerAddresses).where(eq(formerAddresses.address, change.after.address));
      }
      await tx.update(sites).set(change.after).where(eq(sites.id, change.id));
      return;
    }
    case 'page':
      if (change.before)
        await tx
          .update(pages)
          .set({ ...change.after, revision })
          .where(eq(pages.id, change.id));
      else {
        await tx.insert(pages).values({ ...change.after, siteId: scope.site, revision });
        await tx
          .insert(linkKeys)
          .values({ thing: change.id, siteId: scope.site, key: newKey() })
          .onConflictDoNothing();
      }
      return;
    case 'material':
      if (change.before)
        await tx
          .update(materials)
          .set({ ...change.after, revision })
          .where(eq(materials.id, change.id));
      else await tx.insert(materials).values({ ...change.after, accountId: scope.account, revision });
  }
}

/** Refuses a change of what was changed meanwhile, with both versions. */
export function newer({ row, revision }: Versioned<Rows[Table]>): Problem {
  return new Problem(
    409,
    'newer',
    'This was changed in another tab or on another device. Your words are kept here; choose which to keep.',
    { details: { theirs: row, revision } },
  );
}

/** Changes rows and remembers how they were. The only way anything a maker owns is written. */
export class Edit {
  readonly changes: RowChange[] = [];
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
  async find<T extends Table>(table: T, id: string): Promise<Versioned<Rows[T]>> {
    const found = await read(this.#tx, this.#scope, table, id);
    if (!found) throw new Problem(404, 'gone', 'This was deleted in the meantime. Undo brings it back.');
    return found;
  }

  async insert<T extends Table>(table: T, row: Rows[T]): Promise<void> {
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
    change: Partial<Rows[T]>,
    seen?: number,
  ): Promise<Rows[T]> {
    const found = await this.find(table, id);
    const after = { ...found.row, ...change };
    if (seen !== undefined && table !== 'site' && found.revision > seen) throw newer(found);
    if (!isDeepStrictEqual(after, found.row))
      await this.#apply({ table, id, before: found.row, after } as RowChange);
    return after;
  }

  /** Takes pages, parts or materials from readers at once, until a publish opens them again. */
  close(things: Iterable<string>): void {
    for (const thing of things) this.closed.add(thing);
  }

  async remove(table: 'page' | 'material', id: string): Promise<void> {
    const found = await read(this.#tx, this.#scope, table, id);
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
async function nextRevision(tx: Transaction, scope: Scope): Promise<number> {
  const [site] = await tx
    .update(sites)
    .set({ revision: sql`nextval(pg_get_serial_sequence('edit', 'revision'))` })
    .where(and(eq(sites.id, scope.site), eq(sites.accountId, scope.account)))
    .returning({ revision: sites.revision });
  if (!site) throw new Problem(404, 'not-found', 'This site is not here any more.');
  return site.revision;
}

/** Lays a later edit of the same rows over an earlier one: how it was first, how it is now. */
function mergeChanges(earlier: readonly RowChange[], later: readonly RowChange[]): RowChange[] {
  const merged = new Map(earlier.map((change) => [`${change.table} ${change.id}`, change]));
  for (const change of later) {
    const key = `${change.table} ${change.id}`;
    const first = merged.get(key);
    merged.set(key, first ? ({ ...change, before: first.before } as RowChange) : change);
  }
  return [...merged.values()];
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
    const closing = await closeThings(tx, scope, running.closed, revision);
    if (changes.length === 0) return { revision, changes, opens: closing };
    const closed = (await closeLowered(tx, scope.site, changes, revision)) || closing;

    await tx.delete(edits).where(and(eq(edits.siteId, scope.site), eq(edits.undone, true)));
    const [last] = await tx
      .select()
      .from(edits)
      .where(eq(edits.siteId, scope.site))
      .orderBy(desc(edits.revision))
      .limit(1);
    const merge =
      last &&
      what.mergeKey !== undefined &&
      last.mergeKey === what.mergeKey &&
      Date.now() - last.at.getTime() < mergeWithinMs;
    if (merge) {
      await tx
        .update(edits)
        .set({ revision, changes: mergeChanges(last.changes, changes), at: new Date() })
        .where(eq(edits.revision, last.revision));
    } else {
      await tx.insert(edits).values({
        revision,
        siteId: scope.site,
        label: what.label,
        mergeKey: what.mergeKey ?? null,
        changes,
      });
    }
    return { revision, changes, opens: closed || touchesSite(changes) };
  });
}

/**
 * Closes things on all sites of a maker: a material may stand on any of them.
 *
 * @returns whether there was anything to close
 */
async function closeThings(
  tx: Transaction,
  scope: Scope,
  things: ReadonlySet<string>,
  revision: number,
): Promise<boolean> {
  if (things.size === 0) return false;
  const lowered = new Map([...things].map((thing) => [thing, 'private' as const]));
  const all = await tx
    .select({ id: sites.id })
    .from(sites)
    .where(eq(sites.accountId, scope.account))
    .orderBy(sites.id)
    .for('update');
  for (const { id } of all) await lowerCeilings(tx, id, lowered, revision);
  return true;
}

/** What an undo meets when the same file or address was gathered again meanwhile. */
const thereAgain = (label: string) =>
  new Problem(
    409,
    'there-again',
    `“${label}” cannot be taken back: the same file or address was added again since, and is kept once. Use that one, or delete it and undo then.`,
  );

const touchesSite = (changes: readonly RowChange[]): boolean => changes.some(({ table }) => table === 'site');

async function step(
  db: Database,
  scope: Scope,
  direction: 'undo' | 'redo',
  sure: boolean,
): Promise<EditResult & { label: string }> {
  let named = '';
  const stepping = db.transaction(async (tx) => {
    const revision = await nextRevision(tx, scope);
    const undoing = direction === 'undo';
    const [entry] = await tx
      .select()
      .from(edits)
      .where(and(eq(edits.siteId, scope.site), eq(edits.undone, !undoing)))
      .orderBy(undoing ? desc(edits.revision) : edits.revision)
      .limit(1);
    if (!entry) throw new Problem(409, `nothing-to-${direction}`, `There is nothing to ${direction}.`);
    named = entry.label;
    const steps = undoing
      ? [...entry.changes]
          .reverse()
          .map((change) => ({ ...change, before: change.after, after: change.before }) as RowChange)
      : entry.changes;
    for (const change of steps) {
      const now = await read(tx, scope, change.table, change.id);
      if (!isDeepStrictEqual(now?.row ?? null, change.before))
        throw new Problem(
          409,
          'changed-elsewhere',
          `“${entry.label}” cannot be taken back: the same thing was changed from another site of yours since.`,
        );
      if (change.table === 'site' && change.after?.address && change.before?.address !== change.after.address)
        await freeAddress(tx, scope.site, change.after.address);
      await write(tx, scope, change, revision);
    }
    if (!sure) await askBeforeRaising(tx, scope.site, steps, direction);
    const closed = await closeLowered(tx, scope.site, steps, revision);
    // The next edit must not be merged into one that was undone or redone.
    await tx.update(edits).set({ undone: undoing, mergeKey: null }).where(eq(edits.revision, entry.revision));
    return { revision, changes: steps, label: entry.label, opens: closed || touchesSite(steps) };
  });
  return stepping.catch((error: unknown) => {
    throw isNotUnique(error) ? thereAgain(named) : error;
  });
}

/**
 * Undoing a lowering opens nothing by itself, since raising waits for the next publish; but then it would open, and
 * nobody remembers by then what an undo has raised.
 *
 * @throws Problem 409 with a sentence that says who would get what
 */
async function askBeforeRaising(
  tx: Transaction,
  site: string,
  steps: readonly RowChange[],
  direction: 'undo' | 'redo',
): Promise<void> {
  const around = await heightsAround(tx, site, steps);
  const raised = around ? raisedBy(around.before, around.after) : [];
  if (raised.length === 0) return;
  const [row] = await tx.select({ live: sites.liveRelease }).from(sites).where(eq(sites.id, site));
  if (!row || row.live === null) return;
  const titles = new Map(
    (await tx.select({ id: pages.id, title: pages.title }).from(pages).where(eq(pages.siteId, site))).map(
      ({ id, title }) => [id, title],
    ),
  );
  throw new Problem(409, 'would-raise', raisingSentence(raised, titles, direction));
}

/** Throws when another site has the address, or had it before. */
export async function freeAddress(tx: Transaction | Database, site: string, address: string): Promise<void> {
  const [holder] = await tx.select({ id: sites.id }).from(sites).where(eq(sites.address, address));
  const [former] = await tx
    .select({ id: formerAddresses.siteId })
    .from(formerAddresses)
    .where(eq(formerAddresses.address, address));
  if ((holder && holder.id !== site) || (former && former.id !== site))
    throw new Problem(409, 'address-taken', 'This address is taken. Try one of those offered.', {
      field: 'address',
    });
}

/**
 * Takes the last edit back.
 *
 * @param sure its maker was asked and wants it, though something is raised by it
 * @throws Problem 409 when there is nothing to undo, when the same thing was changed from another site, or to ask first
 */
export const undo = (db: Database, scope: Scope, sure = false) => step(db, scope, 'undo', sure);
/** Does again what was undone last; see `undo`. */
export const redo = (db: Database, scope: Scope, sure = false) => step(db, scope, 'redo', sure);

/** What Undo and Redo would do, by name; null where there is nothing. */
export async function historyOf(
  db: Database | Transaction,
  site: string,
): Promise<{ undo: string | null; redo: string | null }> {
  const label = async (undone: boolean) => {
    const [entry] = await db
      .select({ label: edits.label })
      .from(edits)
      .where(and(eq(edits.siteId, site), eq(edits.undone, undone)))
      .orderBy(undone ? edits.revision : desc(edits.revision))
      .limit(1);
    return entry?.label ?? null;
  };
  return { undo: await label(false), redo: await label(true) };
}
