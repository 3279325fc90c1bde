import { eq } from 'drizzle-orm';
import { seenBy } from '#core/access/seen-by.ts';
import { type Listing, listingOf } from '#core/listing/listing.ts';
import { narrowed } from '#core/release/narrowed.ts';
import type { Database } from '../db/connect.ts';
import { sourceOf } from '../db/release-source.ts';
import { releases, sites } from '../db/schema.ts';
import { liveColumns } from './live-site.ts';

/** Keeps whether a site is shown in the server's list. */
export const keepListed = (db: Database, site: string, listed: boolean): Promise<unknown> =>
  db.update(sites).set({ listed }).where(eq(sites.id, site));

/** What the list says of a site: of its live release what strangers still can see. Null where that is nothing. */
export async function listingIn(db: Database, site: string): Promise<Listing | null> {
  const [row] = await db
    .select({ source: liveColumns.source, ceilings: liveColumns.ceilings })
    .from(sites)
    .innerJoin(releases, eq(releases.id, sites.liveRelease))
    .where(eq(sites.id, site));
  if (!row) return null;
  const source = await sourceOf(db, site, row.source);
  const view = seenBy(narrowed(source, new Map(Object.entries(row.ceilings))) ?? source, {
    kind: 'stranger',
  });
  return view && listingOf(view);
}
