import { and, desc, eq } from 'drizzle-orm';
import type { History } from '#contract/site-state.ts';
import { raisedBy } from '#core/access/raised-by.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { Problem } from '../http/problem.ts';
import { closeLowered } from './ceilings.ts';
import type { Database, Transaction } from './connect.ts';
import { type EditResult, nextRevision, touchesSite } from './edit.ts';
import { freeAddress } from './free-address.ts';
import { heightsAround } from './heights-around.ts';
import { isNotUnique } from './not-unique.ts';
import { raisingSentence } from './raising-sentence.ts';
import type { Scope } from './rows/row-kind.ts';
import { applied, inverse, readRecorded } from './rows/recorded-change.ts';
import { rowKind, type RowChange, write } from './rows/rows.ts';
import { edits, pages, sites } from './schema.ts';

/** What somebody wants who takes a step back or forth. */
export interface Wanted {
  /** Its maker was asked and wants it, though something is raised by it. */
  sure?: boolean | undefined;
  /** The step their tab named; another one is not taken without a word. */
  step?: number | undefined;
  /** Where that step is stuck, it is taken out, so that those before it can be reached. */
  takeOut?: boolean | undefined;
}

export interface Stepped extends EditResult {
  label: string;
  /** It was stuck, and nothing was done but taking it out. */
  takenOut: boolean;
}

const stuckCode = 'stuck';

/** A step that cannot be done as things are now, and why. */
const stuck = (step: number, label: string, direction: Direction, why: string) =>
  new Problem(
    409,
    stuckCode,
    `“${label}” cannot be ${direction === 'undo' ? 'taken back' : 'done again'}: ${why}`,
    { details: { step } },
  );

type Direction = 'undo' | 'redo';

/** The step that would be taken next; null where there is none. */
async function nextStep(
  db: Database | Transaction,
  site: string,
  direction: Direction,
): Promise<{ revision: number; label: string } | null> {
  const undone = direction === 'redo';
  const [entry] = await db
    .select({ revision: edits.revision, label: edits.label })
    .from(edits)
    .where(and(eq(edits.siteId, site), eq(edits.undone, undone)))
    .orderBy(undone ? edits.revision : desc(edits.revision))
    .limit(1);
  return entry ?? null;
}

async function take(
  tx: Transaction,
  scope: Scope,
  direction: Direction,
  { sure = false, step }: Wanted,
  next: { revision: number; label: string },
  revision: number,
): Promise<Stepped> {
  const { label, revision: number } = next;
  if (step !== undefined && step !== number)
    throw new Problem(
      409,
      'other-step',
      direction === 'undo'
        ? `The last change is another one now, from another tab or device: “${label}”.`
        : `What can be done again is another change now, from another tab or device: “${label}”.`,
      { details: { step: number } },
    );
  const [kept] = await tx.select({ changes: edits.changes }).from(edits).where(eq(edits.revision, number));
  const changes = (kept?.changes ?? []).map(readRecorded);
  const undoing = direction === 'undo';
  const steps: RowChange[] = [];
  for (const change of undoing ? [...changes].reverse() : changes) {
    if (!change) throw stuck(number, label, direction, 'a newer version of Kite Wall made this change.');
    const wanted = undoing ? inverse(change) : change;
    const now = await rowKind(change.table).read(tx, scope, change.id);
    const made = applied(wanted, now?.row ?? null);
    if (!made)
      throw stuck(number, label, direction, 'the same thing was changed from another site of yours since.');
    if (made.table === 'site' && made.after?.address && made.before?.address !== made.after.address)
      await freeAddress(tx, scope.site, made.after.address).catch((error: unknown) => {
        throw error instanceof Problem
          ? stuck(number, label, direction, 'another site has taken the address since.')
          : error;
      });
    await write(tx, scope, made, revision);
    steps.push(made);
  }
  if (!sure) await askBeforeRaising(tx, scope.site, steps, direction);
  const closed = await closeLowered(tx, scope.site, steps, revision);
  // The next edit must not be merged into one that was undone or redone.
  await tx.update(edits).set({ undone: undoing, mergeKey: null }).where(eq(edits.revision, number));
  const concerns = closed || touchesSite(steps) ? [scope.site] : [];
  return { revision, changes: steps, label, concerns, takenOut: false };
}

/** Takes a stuck step out. What it once did stays as it is. */
async function takeOut(db: Database, scope: Scope, step: number, label: string): Promise<Stepped> {
  return db.transaction(async (tx) => {
    const revision = await nextRevision(tx, scope);
    await tx.delete(edits).where(and(eq(edits.siteId, scope.site), eq(edits.revision, step)));
    return { revision, changes: [], concerns: [], label, takenOut: true };
  });
}

async function step(db: Database, scope: Scope, direction: Direction, wanted: Wanted): Promise<Stepped> {
  let next = null as { revision: number; label: string } | null;
  try {
    return await db.transaction(async (tx) => {
      // The site is held first: nothing is done to its history meanwhile.
      const revision = await nextRevision(tx, scope);
      next = await nextStep(tx, scope.site, direction);
      if (!next) throw new Problem(409, `nothing-to-${direction}`, `There is nothing to ${direction}.`);
      return take(tx, scope, direction, wanted, next, revision);
    });
  } catch (error) {
    if (!next) throw error;
    const problem = isNotUnique(error)
      ? stuck(
          next.revision,
          next.label,
          direction,
          'the same file or address was added again since, and is kept once. Use that one, or delete it and undo then.',
        )
      : error;
    if (
      wanted.takeOut &&
      wanted.step === next.revision &&
      problem instanceof Problem &&
      problem.code === stuckCode
    )
      return takeOut(db, scope, next.revision, next.label);
    throw problem;
  }
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
  direction: Direction,
): Promise<void> {
  const around = await heightsAround(tx, site, steps);
  const raised = around ? raisedBy(around.before, around.after) : [];
  if (raised.length === 0) return;
  const [row] = await tx.select({ live: sites.liveRelease }).from(sites).where(eq(sites.id, site));
  if (!row || row.live === null) return;
  const all = await tx
    .select({ id: pages.id, kind: pages.kind, title: pages.title })
    .from(pages)
    .where(eq(pages.siteId, site));
  const titles = new Map(all.map((page) => [page.id, pageName(page)]));
  throw new Problem(409, 'would-raise', raisingSentence(raised, titles, direction));
}

/**
 * Takes the last edit back: what it changed and nothing else, whatever was done to the rest since.
 *
 * @throws Problem 409 when there is nothing to undo, when another step would be taken than the one their maker sees, when
 *   it is stuck because the same thing was changed from another site, or to ask before something is raised
 */
export const undo = (db: Database, scope: Scope, wanted: Wanted = {}) => step(db, scope, 'undo', wanted);
/** Does again what was undone last; see `undo`. */
export const redo = (db: Database, scope: Scope, wanted: Wanted = {}) => step(db, scope, 'redo', wanted);

/** What Undo and Redo would do, by name and number; null where there is nothing. */
export async function historyOf(db: Database | Transaction, site: string): Promise<History> {
  const of = async (direction: Direction) => {
    const next = await nextStep(db, site, direction);
    return next && { label: next.label, step: next.revision };
  };
  return { undo: await of('undo'), redo: await of('redo') };
}
