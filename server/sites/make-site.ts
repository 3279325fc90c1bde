import type { Site } from '#core/sites/site.ts';
import { fromStored } from '#core/stored/stored-json.ts';
import { storedArrangement } from '#core/stored/stored-kinds.ts';
import { eq } from 'drizzle-orm';
import { firstLook } from '#core/look/look.ts';
import type { Database } from '../db/connect.ts';
import { nextRevision } from '../db/edit.ts';
import { newId, newKey } from '../db/new-id.ts';
import { type RowChange, write } from '../db/rows/rows.ts';
import { columnsOf } from '../db/rows/site-row.ts';
import { accounts, linkKeys, sites } from '../db/schema.ts';
import { emptyPage } from '../pages/new-page.ts';
import { firstArrangement } from '#core/sites/arrangement.ts';

/**
 * Makes a site with its front page. A new site is private.
 *
 * @returns its id
 */
export async function makeSite(db: Database, account: string, title: string): Promise<string> {
  const [maker] = await db.select({ name: accounts.name }).from(accounts).where(eq(accounts.id, account));
  const others = await db.select({ kept: sites.arrangement }).from(sites).where(eq(sites.accountId, account));
  // Who is under 18 on one site is so on the next.
  const underAge = others.some(({ kept }) => fromStored(storedArrangement, kept).underAge);
  const site: Site = {
    id: newId(),
    title,
    height: 'private',
    address: null,
    searchEngines: false,
    look: firstLook,
    evidenceWanted: 0,
    ...firstArrangement,
    by: maker?.name ?? '',
    underAge,
  };
  const home = emptyPage('home', 'a0', 'home', title);
  const scope = { site: site.id, account };
  await db.transaction(async (tx) => {
    await tx
      .insert(sites)
      .values({ ...columnsOf(site), accountId: account, revision: 0, ceilingsKnown: true });
    await tx.insert(linkKeys).values({ thing: site.id, siteId: site.id, key: newKey() });
    // No step of undo: a site without its front page would be none.
    const insert: RowChange = { table: 'page', id: home.id, before: null, after: home };
    await write(tx, scope, insert, await nextRevision(tx, scope));
  });
  return site.id;
}
