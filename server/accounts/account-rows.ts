import { eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { accounts } from '../db/schema.ts';

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
