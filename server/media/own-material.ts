import { and, eq } from 'drizzle-orm';
import type { Material } from '#core/materials/material.ts';
import type { Executor } from '../db/connect.ts';
import { materialOf } from '../db/rows/material-row.ts';
import { materials } from '../db/schema.ts';
import { notFound } from '../http/problem.ts';

/**
 * A material of this maker.
 *
 * @param what as it is called where there is none, at the beginning of a sentence
 * @throws Problem 404 where this maker has none of that id
 */
export async function ownMaterial(
  db: Executor,
  account: string,
  id: string,
  what: string,
): Promise<Material> {
  const [row] = await db
    .select()
    .from(materials)
    .where(and(eq(materials.accountId, account), eq(materials.id, id)));
  if (!row) throw notFound(what);
  return materialOf(row);
}
