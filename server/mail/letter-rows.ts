import { and, asc, count, desc, eq, gt, isNotNull, isNull, lt, lte, max, sql } from 'drizzle-orm';
import type { LetterAbout } from '#core/letters/letter-about.ts';
import type { Database, Executor } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { letters } from '../db/schema.ts';

export type LetterRow = typeof letters.$inferSelect;

/** That a mail was sent is known for this long, in ms: 30 days. */
const keptMs = 30 * 24 * 60 * 60 * 1000;

/** Puts a mail on its way, now or at a later time. One of the same words to the same address that still waits goes once. */
export async function putOnItsWay(
  db: Executor,
  account: string,
  to: string,
  about: LetterAbout,
  now: Date,
  at = now,
): Promise<void> {
  const old = new Date(now.getTime() - keptMs);
  await db.delete(letters).where(and(lt(letters.createdAt, old), isNull(letters.next)));
  const [waiting] = await db
    .select({ id: letters.id })
    .from(letters)
    .where(
      and(
        eq(letters.accountId, account),
        isNotNull(letters.next),
        eq(letters.to, to),
        sql`${letters.about} = ${JSON.stringify(about)}::jsonb`,
      ),
    );
  if (waiting) return;
  await db.insert(letters).values({ id: newId(), accountId: account, to, about, next: at, createdAt: now });
}

/** What is to be sent now, the oldest first. */
export const lettersDue = (db: Database, now: Date): Promise<LetterRow[]> =>
  db.select().from(letters).where(lte(letters.next, now)).orderBy(asc(letters.next)).limit(50);

/** Writes down how a try went. @param next when it is tried again; null: it is not */
export async function triedLetter(
  db: Database,
  { id, tries }: Pick<LetterRow, 'id' | 'tries'>,
  sentAt: Date | null,
  next: Date | null,
): Promise<void> {
  await db
    .update(letters)
    .set({ tries: tries + 1, sentAt, next })
    .where(eq(letters.id, id));
}

const isOfPass = sql`${letters.about} ->> 'kind' in ('pass', 'pass-closing')`;

/** How many links of passes an account has sent since a moment. */
export async function passLettersSince(db: Executor, account: string, since: Date): Promise<number> {
  const [row] = await db
    .select({ many: count() })
    .from(letters)
    .where(and(eq(letters.accountId, account), gt(letters.createdAt, since), isOfPass));
  return row?.many ?? 0;
}

/** Whom an account has sent links of passes to of late, the latest first. */
export async function sentToOfLate(db: Executor, account: string): Promise<string[]> {
  const rows = await db
    .select({ to: letters.to })
    .from(letters)
    .where(and(eq(letters.accountId, account), isOfPass))
    .groupBy(letters.to)
    .orderBy(desc(max(letters.createdAt)))
    .limit(20);
  return rows.map(({ to }) => to);
}

/** How long before a pass closes those are told who have its link, in ms: three days. */
const closingMs = 3 * 24 * 60 * 60 * 1000;

/** When it is told that a pass closes soon; null where that is never, or too near to be told. */
export function toldClosing(closesAt: Date | null, now: Date): Date | null {
  const at = closesAt && new Date(closesAt.getTime() - closingMs);
  return at && at > now ? at : null;
}

/** A pass closes at another time now: those who are to be told are told three days before that. */
export async function moveReminders(
  db: Executor,
  pass: string,
  closesAt: Date | null,
  now: Date,
): Promise<void> {
  await db
    .update(letters)
    .set({ next: toldClosing(closesAt, now) })
    .where(
      and(
        isNotNull(letters.next),
        sql`${letters.about} = ${JSON.stringify({ kind: 'pass-closing', pass })}::jsonb`,
      ),
    );
}
