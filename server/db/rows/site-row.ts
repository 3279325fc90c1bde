import { and, eq } from 'drizzle-orm';
import { addressLikeness } from '#core/sites/address-likeness.ts';
import type { Site } from '#core/sites/site.ts';
import { formerAddresses, sites } from '../schema.ts';
import { fromStored, stored } from '#core/stored/stored-json.ts';
import { storedArrangement, storedLook, storedSite } from '#core/stored/stored-kinds.ts';
import type { RowKind } from './row-kind.ts';

export const siteOf = (row: typeof sites.$inferSelect): Site => ({
  id: row.id,
  title: row.title,
  height: row.height,
  address: row.address,
  searchEngines: row.searchEngines,
  look: fromStored(storedLook, row.look),
  evidenceWanted: row.evidenceWanted,
  ...fromStored(storedArrangement, row.arrangement),
});

/** A site as its row keeps it. */
export const columnsOf = ({
  id,
  title,
  height,
  address,
  searchEngines,
  look,
  evidenceWanted,
  ...arrangement
}: Site) => ({
  ...{ id, title, height, address, searchEngines, evidenceWanted },
  addressLikeness: address === null ? null : addressLikeness(address),
  look: stored(storedLook, look),
  arrangement: stored(storedArrangement, arrangement),
});

/** The site itself. Its row comes with the account and goes with it, and is held by every edit from the start. */
export const siteRow: RowKind<Site> = {
  ownRevision: false,
  stored: { write: (site) => stored(storedSite, site), read: (kept) => fromStored(storedSite, kept) },
  read: async (tx, scope, id) => {
    const [row] = await tx
      .select()
      .from(sites)
      .where(and(eq(sites.id, id), eq(sites.id, scope.site)))
      .for('update');
    return row ? { row: siteOf(row), revision: row.revision } : null;
  },
  insert: () => {
    throw new Error('A site is not made by an edit.');
  },
  update: async (tx, scope, before, after) => {
    if (before.address !== after.address) {
      // Who has the old address is led on to the new one.
      if (before.address)
        await tx
          .insert(formerAddresses)
          .values({
            address: before.address,
            likeness: addressLikeness(before.address),
            siteId: scope.site,
          })
          .onConflictDoNothing();
      if (after.address) await tx.delete(formerAddresses).where(eq(formerAddresses.address, after.address));
    }
    await tx.update(sites).set(columnsOf(after)).where(eq(sites.id, after.id));
  },
  remove: () => {
    throw new Error('A site is not deleted by an edit.');
  },
};
