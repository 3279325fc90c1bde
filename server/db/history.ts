import { and, desc, eq } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import { raisedBy } from '#core/access/raised-by.ts';
import { Problem } from '../http/problem.ts';
import { closeLowered } from './ceilings.ts';
import type { Database, Transaction } from './connect.ts';
import { type EditResult, nextRevision, touchesSite } from './edit.ts';
import { freeAddress } from './free-address.ts';
import { heightsAround } from './heights-around.ts';
import { isNotUnique } from './not-unique.ts';
import { raisingSentence } from './raising-sentence.ts';
import type { Scope } from './rows/row-kind.ts';
import { rowKind, type RowChange, write } from './rows/rows.ts';
import { edits, pages, sites } from './schema.ts';

/** What an undo meets when the same file or address was gathered again meanwhile. */
const thereAgain = (label: string) =>
  new Problem(
    409,
    'there-again',
    `“${label}” cannot be taken back: the same file or address was added again since, and is kept once. Use that one, or delete it and undo then.`,
  );

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
      const now = await rowKind(change.table).read(tx, scope, change.id);
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
