import { and, eq, inArray } from 'drizzle-orm';
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

/** What is said in some of a maker's materials, by their ids; those that are not theirs, or not there, are left out. */
export async function transcriptsOf(
  db: Executor,
  account: string,
  ids: readonly string[],
): Promise<Record<string, string>> {
  const rows = await db
    .select({ id: materials.id, transcript: materials.transcript })
    .from(materials)
    .where(and(eq(materials.accountId, account), inArray(materials.id, [...ids])));
  return Object.fromEntries(rows.map(({ id, transcript }) => [id, transcript]));
}
