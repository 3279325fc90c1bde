import { and, desc, eq } from 'drizzle-orm';
import type { Session } from '#contract/account.ts';
import type { Executor } from '../db/connect.ts';
import { sessions } from '../db/schema.ts';
import { goesOn } from './sessions.ts';

/** Where an account is signed in, what was used last first. @param asks the session that asks */
export async function sessionsOf(
  db: Executor,
  account: string,
  asks: string | null,
  now: Date,
): Promise<Session[]> {
  const rows = await db
    .select()
    .from(sessions)
    .where(and(eq(sessions.accountId, account), goesOn(now)))
    .orderBy(desc(sessions.seenAt), desc(sessions.createdAt));
  return rows.map(({ id, device, createdAt, seenAt }) => ({
    ...{ id, device, this: id === asks },
    since: createdAt.toISOString(),
    seen: seenAt.toISOString(),
  }));
}

/** @returns whether the account had such a session */
export async function endSessionOf(db: Executor, account: string, id: string): Promise<boolean> {
  const ended = await db
    .delete(sessions)
    .where(and(eq(sessions.accountId, account), eq(sessions.id, id)))
    .returning({ id: sessions.id });
  return ended.length > 0;
}
