import { and, eq } from 'drizzle-orm';
import type { Material } from '#core/materials/material.ts';
import { fromStored, stored } from '#core/stored/stored-json.ts';
import { storedMaterial } from '#core/stored/stored-kinds.ts';
import { materials } from '../schema.ts';
import type { RowKind } from './row-kind.ts';

/**
 * A material from its row, whatever version wrote it.
 *
 * @throws Unreadable see `fromStored`
 */
export const materialOf = ({
  accountId: _account,
  revision: _revision,
  createdAt: _created,
  version: v,
  ...columns
}: typeof materials.$inferSelect): Material => fromStored(storedMaterial, { ...columns, v });

const columnsOf = (material: Material) => {
  const { v: version, ...columns } = stored(storedMaterial, material);
  return { ...columns, version };
};

/** A material of the maker's stock, whichever of their sites is open. */
export const materialRow: RowKind<Material> = {
  ownRevision: true,
  stored: {
    write: (material) => stored(storedMaterial, material),
    read: (kept) => fromStored(storedMaterial, kept),
  },
  read: async (tx, scope, id) => {
    const [row] = await tx
      .select()
      .from(materials)
      .where(and(eq(materials.id, id), eq(materials.accountId, scope.account)))
      .for('update');
    return row ? { row: materialOf(row), revision: row.revision } : null;
  },
  insert: async (tx, scope, material, revision) => {
    await tx.insert(materials).values({ ...columnsOf(material), accountId: scope.account, revision });
  },
  update: async (tx, _scope, _before, after, revision) => {
    await tx
      .update(materials)
      .set({ ...columnsOf(after), revision })
      .where(eq(materials.id, after.id));
  },
  remove: async (tx, id) => {
    await tx.delete(materials).where(eq(materials.id, id));
  },
};
