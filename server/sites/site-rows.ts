import { and, desc, eq } from 'drizzle-orm';
import type { Database, Executor } from '../db/connect.ts';
import { newKey } from '../db/new-id.ts';
import { formerAddresses, linkKeys, sites } from '../db/schema.ts';

/** A maker's sites, the first one first. */
export const sitesOf = (db: Database, account: string): Promise<{ id: string; title: string }[]> =>
  db
    .select({ id: sites.id, title: sites.title })
    .from(sites)
    .where(eq(sites.accountId, account))
    .orderBy(sites.createdAt);

/** Whose site it is; its own id where it is not there any more. */
export async function accountOf(db: Executor, site: string): Promise<string> {
  const [row] = await db.select({ account: sites.accountId }).from(sites).where(eq(sites.id, site));
  return row?.account ?? site;
}

/** Whether readers have been given anything of a site yet. */
export async function isPublished(db: Executor, site: string): Promise<boolean> {
  const [row] = await db.select({ live: sites.liveRelease }).from(sites).where(eq(sites.id, site));
  return row !== undefined && row.live !== null;
}

/** Addresses that a site had and that lead on to the one it has, the latest first. */
export async function formerAddressesOf(db: Executor, site: string): Promise<string[]> {
  const rows = await db
    .select({ address: formerAddresses.address })
    .from(formerAddresses)
    .where(eq(formerAddresses.siteId, site))
    .orderBy(desc(formerAddresses.createdAt), formerAddresses.address);
  return rows.map(({ address }) => address);
}

/** @returns false where the site never had it, or gave it up already */
export async function dropFormerAddress(db: Database, site: string, address: string): Promise<boolean> {
  const dropped = await db
    .delete(formerAddresses)
    .where(and(eq(formerAddresses.siteId, site), eq(formerAddresses.address, address)))
    .returning({ address: formerAddresses.address });
  return dropped.length > 0;
}

/**
 * Gives the link of a site or page another key; the one before opens nothing any more.
 *
 * @returns false where the site has no such link
 */
export async function renewKey(db: Database, site: string, thing: string): Promise<boolean> {
  const renewed = await db
    .update(linkKeys)
    .set({ key: newKey(), createdAt: new Date() })
    .where(and(eq(linkKeys.siteId, site), eq(linkKeys.thing, thing)))
    .returning({ thing: linkKeys.thing });
  return renewed.length > 0;
}

/** The keys of a site's links, by site or page id. */
export async function keysOf(db: Executor, site: string): Promise<Map<string, string>> {
  const rows = await db.select().from(linkKeys).where(eq(linkKeys.siteId, site));
  return new Map(rows.map((row) => [row.thing, row.key]));
}
