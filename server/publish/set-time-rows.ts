import { and, asc, count, eq, gt, isNull, lt, lte, or } from 'drizzle-orm';
import type { SetTime } from '#contract/publishing.ts';
import { mostSetTimes, type SetTimeTerms, setTimeTermsSchema } from '#core/release/set-time.ts';
import { instantOf } from '#core/dates/local-time.ts';
import type { Database } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { setTimes, sites } from '../db/schema.ts';
import { notFound, Problem } from '../http/problem.ts';

export type SetTimeRow = typeof setTimes.$inferSelect;

/** What came of a time is told for this long, in ms: 30 days. */
const toldMs = 30 * 24 * 60 * 60 * 1000;

const setTimeOf = (row: SetTimeRow): SetTime => ({
  ...setTimeTermsSchema.parse(row),
  ...{ id: row.id, at: row.at.toISOString(), outcome: row.outcome },
  doneAt: row.doneAt?.toISOString() ?? null,
});

/** A site's times that are waited for and those that were done lately, the earliest first. */
export async function setTimesOf(db: Database, site: string, now: Date): Promise<SetTime[]> {
  const lately = new Date(now.getTime() - toldMs);
  const rows = await db
    .select()
    .from(setTimes)
    .where(and(eq(setTimes.siteId, site), or(isNull(setTimes.doneAt), gt(setTimes.doneAt, lately))))
    .orderBy(asc(setTimes.at), asc(setTimes.id));
  return rows.map(setTimeOf);
}

/** @throws Problem 422 of a time that has passed, 409 where too many are waited for */
export async function addSetTime(db: Database, site: string, terms: SetTimeTerms, now: Date): Promise<void> {
  // Of an hour that comes twice what closes does so the first time it comes, and what opens as well: nobody has to wait for either.
  const at = instantOf(terms.local, terms.timeZone, 'first');
  if (at <= now)
    throw new Problem(422, 'passed', 'That time has passed. Choose a later one.', { field: 'local' });
  await db.transaction(async (tx) => {
    // Two tabs at once do not go beyond the limit together.
    await tx.select({ id: sites.id }).from(sites).where(eq(sites.id, site)).for('update');
    // Pressed twice it is set once.
    const [same] = await tx
      .select({ id: setTimes.id })
      .from(setTimes)
      .where(
        and(
          eq(setTimes.siteId, site),
          isNull(setTimes.doneAt),
          eq(setTimes.does, terms.does),
          eq(setTimes.at, at),
        ),
      );
    if (same) return;
    const [waiting] = await tx
      .select({ count: count() })
      .from(setTimes)
      .where(and(eq(setTimes.siteId, site), isNull(setTimes.doneAt)));
    if ((waiting?.count ?? 0) >= mostSetTimes)
      throw new Problem(
        409,
        'too-many',
        `At most ${mostSetTimes} times can be waited for. Take one away first.`,
      );
    await tx.insert(setTimes).values({ id: newId(), siteId: site, at, ...terms });
  });
}

/** Takes away a time that is still waited for. @throws Problem 404 where it is not, or was done meanwhile */
export async function removeSetTime(db: Database, site: string, id: string): Promise<void> {
  const removed = await db
    .delete(setTimes)
    .where(and(eq(setTimes.id, id), eq(setTimes.siteId, site), isNull(setTimes.doneAt)))
    .returning({ id: setTimes.id });
  if (removed.length === 0) throw notFound('This time');
}

/** What is to be done by now, the earliest first. */
export const dueTimes = (db: Database, now: Date): Promise<SetTimeRow[]> =>
  db
    .select()
    .from(setTimes)
    .where(and(isNull(setTimes.doneAt), lte(setTimes.at, now)))
    .orderBy(asc(setTimes.at));

/** Writes down what came of a time, and forgets what nobody is told of its site any more. */
export async function setTimeDone(
  db: Database,
  { id, siteId }: SetTimeRow,
  outcome: string,
  now: Date,
): Promise<void> {
  await db.update(setTimes).set({ doneAt: now, outcome }).where(eq(setTimes.id, id));
  await db
    .delete(setTimes)
    .where(and(eq(setTimes.siteId, siteId), lt(setTimes.doneAt, new Date(now.getTime() - toldMs))));
}
