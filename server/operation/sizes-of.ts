import { count, isNotNull, sql, sum } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { accounts, letters, materials, sites } from '../db/schema.ts';

/** How much there is: accounts, sites, those with something published, originals in bytes, mails on their way. */
export async function sizesOf(db: Database): Promise<Record<string, number>> {
  const [[ofAccounts], [ofSites], [published], [originals], [waiting]] = await Promise.all([
    db.select({ n: count() }).from(accounts),
    db.select({ n: count() }).from(sites),
    db.select({ n: count() }).from(sites).where(isNotNull(sites.liveRelease)),
    db.select({ n: sum(materials.bytes) }).from(materials),
    db.select({ n: count() }).from(letters).where(isNotNull(letters.next)),
  ]);
  return {
    accounts: ofAccounts?.n ?? 0,
    sites: ofSites?.n ?? 0,
    sites_published: published?.n ?? 0,
    bytes_of_originals: Number(originals?.n ?? 0),
    letters_waiting: waiting?.n ?? 0,
  };
}

/** The least that can be asked of a database. Throws when it does not answer. */
export const askAnything = async (db: Database): Promise<void> => void (await db.execute(sql`select 1`));
