import { eq } from 'drizzle-orm';
import { Problem } from '../http/problem.ts';
import type { Database, Transaction } from './connect.ts';
import { formerAddresses, sites } from './schema.ts';

/** Throws when another site has the address, or had it before. */
export async function freeAddress(tx: Transaction | Database, site: string, address: string): Promise<void> {
  const [holder] = await tx.select({ id: sites.id }).from(sites).where(eq(sites.address, address));
  const [former] = await tx
    .select({ id: formerAddresses.siteId })
    .from(formerAddresses)
    .where(eq(formerAddresses.address, address));
  if ((holder && holder.id !== site) || (former && former.id !== site))
    throw new Problem(409, 'address-taken', 'This address is taken. Try one of those offered.', {
      field: 'address',
    });
}
