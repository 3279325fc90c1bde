import { and, asc, eq, isNotNull, lt, lte, sql } from 'drizzle-orm';
import type { LetterAbout } from '#core/letters/letter-about.ts';
import type { Database, Executor } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { letters } from '../db/schema.ts';

export type LetterRow = typeof letters.$inferSelect;

/** That a mail was sent is known for this long, in ms: 30 days. */
const keptMs = 30 * 24 * 60 * 60 * 1000;

/** Puts a mail on its way. One of the same words to the same address that still waits goes once. */
export async function putOnItsWay(
  db: Executor,
  account: string,
  to: string,
  about: LetterAbout,
  now: Date,
): Promise<void> {
  await db.delete(letters).where(lt(letters.createdAt, new Date(now.getTime() - keptMs)));
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
  await db.insert(letters).values({ id: newId(), accountId: account, to, about, next: now, createdAt: now });
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
