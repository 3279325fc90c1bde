import { eq, lte, sql } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { accounts, sites } from '../db/schema.ts';

/** Whether a site, in a query over sites, is one of an account that is not going to be deleted: of others nothing opens. */
export const isOfOneWhoStays = sql`not exists (select 1 from ${accounts} where ${accounts.id} = ${sites.accountId} and ${accounts.leavesAt} is not null)`;

const sitesOf = async (db: Pick<Database, 'select'>, account: string): Promise<string[]> =>
  (await db.select({ id: sites.id }).from(sites).where(eq(sites.accountId, account))).map(({ id }) => id);

/**
 * Sets when an account goes for good; null: it stays.
 *
 * @returns its sites: what is open of them is another thing now
 */
export async function setLeaving(db: Database, account: string, at: Date | null): Promise<string[]> {
  await db.update(accounts).set({ leavesAt: at }).where(eq(accounts.id, account));
  return sitesOf(db, account);
}

/**
 * Deletes accounts whose days to think again are over, with all of theirs. Their files are taken away by the next sweep.
 *
 * @returns the sites that went with them
 */
export async function dropThoseWhoLeft(db: Database, now: Date): Promise<string[]> {
  const gone: string[] = [];
  for (const { id } of await db
    .select({ id: accounts.id })
    .from(accounts)
    .where(lte(accounts.leavesAt, now))) {
    const theirs = await db.transaction(async (tx) => {
      // Whoever decided otherwise at this moment stays.
      const [row] = await tx.select().from(accounts).where(eq(accounts.id, id)).for('update');
      if (!row?.leavesAt || row.leavesAt > now) return [];
      const had = await sitesOf(tx, id);
      await tx.delete(accounts).where(eq(accounts.id, id));
      return had;
    });
    gone.push(...theirs);
  }
  return gone;
}
