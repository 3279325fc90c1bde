import { and, eq, ne } from 'drizzle-orm';
import { addressSchema, reservedAddresses } from '#core/sites/address.ts';
import { addressLikeness } from '#core/sites/address-likeness.ts';
import { Problem } from '../http/problem.ts';
import type { Database, Transaction } from './connect.ts';
import { formerAddresses, sites } from './schema.ts';

const likenessesOfReserved = new Set([...reservedAddresses].map(addressLikeness));

/**
 * Why a site cannot take an address, in a sentence; null where it can. Another site's address, one it had before, and what
 * readers could mistake for either or for one of the server's own are not free.
 */
export async function whyNotFree(
  db: Transaction | Database,
  site: string,
  address: string,
): Promise<string | null> {
  const checked = addressSchema.safeParse(address);
  if (!checked.success) return checked.error.issues[0]?.message ?? 'This address cannot be used.';
  const likeness = addressLikeness(address);
  const held = await db
    .select({ address: sites.address })
    .from(sites)
    .where(and(eq(sites.addressLikeness, likeness), ne(sites.id, site)));
  const former = await db
    .select({ address: formerAddresses.address })
    .from(formerAddresses)
    .where(and(eq(formerAddresses.likeness, likeness), ne(formerAddresses.siteId, site)));
  const alike = [...held, ...former];
  if (alike.some((one) => one.address === address)) return 'This address is taken.';
  if (alike.length > 0 || likenessesOfReserved.has(likeness))
    return 'This address looks like one that is taken: readers could not tell 0 from o, 1 from l, or rn from m.';
  return null;
}

/** Throws when the address is not free for this site. */
export async function freeAddress(tx: Transaction | Database, site: string, address: string): Promise<void> {
  const why = await whyNotFree(tx, site, address);
  if (why !== null)
    throw new Problem(409, 'address-taken', `${why} Try one of those offered.`, { field: 'address' });
}
