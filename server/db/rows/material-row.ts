import { and, eq } from 'drizzle-orm';
import type { Material } from '#core/content/material.ts';
import { materials } from '../schema.ts';
import type { RowKind } from './row-kind.ts';

export const materialOf = ({
  accountId: _account,
  revision: _revision,
  createdAt: _created,
  ...material
}: typeof materials.$inferSelect): Material =>
  // Kind and facts are two columns; they are only ever written together, from one Material.
  material as Material;

/** A material of the maker's stock, whichever of their sites is open. */
export const materialRow: RowKind<Material> = {
  ownRevision: true,
  read: async (tx, scope, id) => {
    const [row] = await tx
      .select()
      .from(materials)
      .where(and(eq(materials.id, id), eq(materials.accountId, scope.account)))
      .for('update');
    return row ? { row: materialOf(row), revision: row.revision } : null;
  },
  insert: async (tx, scope, material, revision) => {
    await tx.insert(materials).values({ ...material, accountId: scope.account, revision });
  },
  update: async (tx, _scope, _before, after, revision) => {
    await tx
      .update(materials)
      .set({ ...after, revision })
      .where(eq(materials.id, after.id));
  },
  remove: async (tx, id) => {
    await tx.delete(materials).where(eq(materials.id, id));
  },
};
