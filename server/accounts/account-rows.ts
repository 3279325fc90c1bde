import { and, eq, ne } from 'drizzle-orm';
import type { Database, Executor } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { isNotUnique } from '../db/not-unique.ts';
import { accounts, sessions } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { dropTokens, type TokenOf } from './account-tokens.ts';

export type AccountRow = typeof accounts.$inferSelect;

/** The account of an e-mail; null where there is none. */
export async function accountOf(db: Database, email: string): Promise<AccountRow | null> {
  const [row] = await db.select().from(accounts).where(eq(accounts.email, email));
  return row ?? null;
}

/** Makes an account. */
export async function addAccount(
  db: Database,
  { name, email, passwordHash }: Pick<AccountRow, 'name' | 'email' | 'passwordHash'>,
): Promise<Pick<AccountRow, 'id' | 'name' | 'email'>> {
  const account = { id: newId(), name, email };
  await db.insert(accounts).values({ ...account, passwordHash });
  return account;
}

/** @throws Problem 404 where the account went meanwhile */
export async function accountById(db: Executor, id: string): Promise<AccountRow> {
  const [row] = await db.select().from(accounts).where(eq(accounts.id, id));
  if (!row) throw new Problem(404, 'not-found', 'There is no such account any more.');
  return row;
}

export const setName = (db: Executor, id: string, name: string): Promise<unknown> =>
  db.update(accounts).set({ name }).where(eq(accounts.id, id));

/** Of what was in a mail and proves nothing any more. */
export const usedUp = () =>
  new Problem(410, 'used-up', 'This link was used before, or is too old. Ask for another mail.');

const inUse = () =>
  new Problem(409, 'email-known', 'There is an account with this e-mail already.', { field: 'email' });

/** @throws Problem 409 where another account goes by it */
async function setAddress(db: Executor, id: string, email: string, confirmedAt: Date | null): Promise<void> {
  const [other] = await db
    .select({ id: accounts.id })
    .from(accounts)
    .where(and(eq(accounts.email, email), ne(accounts.id, id)));
  if (other) throw inUse();
  await db
    .update(accounts)
    .set({ email, confirmedAt, coming: null })
    .where(eq(accounts.id, id))
    .catch((error: unknown) => {
      throw isNotUnique(error) ? inUse() : error;
    });
}

/**
 * Writes down that whoever reads the mails of an address has shown so, and that the account goes by it from now on.
 *
 * @returns the address it went by before
 * @throws Problem 410 where its maker wants another one meanwhile, 409 where another account goes by it now
 */
export async function confirmAddressOf(
  db: Executor,
  { account, email }: TokenOf,
  now: Date,
): Promise<string> {
  const before = await accountById(db, account);
  if (email !== before.email && email !== before.coming) throw usedUp();
  await setAddress(db, account, email, now);
  // What was sent to the address before proves nothing of this one.
  if (before.email !== email) await dropTokens(db, account);
  return before.email;
}

/** Changes an address that nobody can confirm: this server sends no mail. @throws Problem 409 where another account has it */
export const setUnconfirmedAddress = (db: Executor, account: string, email: string): Promise<void> =>
  setAddress(db, account, email, null);

/** Awaits that an address is confirmed; null: awaits none, and what was sent to one proves nothing any more. */
export async function awaitAddress(db: Executor, account: string, email: string | null): Promise<void> {
  await dropTokens(db, account);
  await db.update(accounts).set({ coming: email }).where(eq(accounts.id, account));
}

/**
 * Sets a password, and ends all sessions but one; what was sent by mail to choose another is void.
 *
 * @param but the session that goes on; null: none
 */
export async function setPassword(
  db: Executor,
  account: string,
  passwordHash: string,
  but: string | null,
): Promise<AccountRow | null> {
  const [row] = await db.update(accounts).set({ passwordHash }).where(eq(accounts.id, account)).returning();
  await dropTokens(db, account);
  await endSessions(db, account, but);
  return row ?? null;
}

/** @param but the session that goes on; null: none */
export const endSessions = (db: Executor, account: string, but: string | null): Promise<unknown> =>
  db
    .delete(sessions)
    .where(and(eq(sessions.accountId, account), but === null ? undefined : ne(sessions.id, but)));
