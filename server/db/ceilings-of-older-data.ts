import { eq } from 'drizzle-orm';
import type { Database } from './connect.ts';
import { siteOf } from './rows/site-row.ts';
import { raiseToPublished } from './ceilings.ts';
import { readPages } from './rows/page-row.ts';
import { sites } from './schema.ts';

/**
 * Works out the ceilings of sites that were kept by a version which wrote none down: everything as high as its maker has it
 * now. Whatever had been lowered by then is so kept from readers by every release, old ones too.
 *
 * @returns how many sites there were
 */
export async function ceilingsOfOlderData(db: Database): Promise<number> {
  const unknown = await db.select().from(sites).where(eq(sites.ceilingsKnown, false));
  for (const site of unknown)
    await db.transaction(async (tx) => {
      const rows = (await readPages(tx, site.id)).map(({ row }) => row);
      await raiseToPublished(tx, site.id, { site: siteOf(site), pages: rows }, site.revision);
      await tx.update(sites).set({ ceilingsKnown: true }).where(eq(sites.id, site.id));
    });
  return unknown.length;
}
