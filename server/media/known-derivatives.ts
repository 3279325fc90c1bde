import { inArray } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { derivatives } from '../db/schema.ts';
import type { Derivative, PublishedFormat } from './derive.ts';

/** What is already made of the given recipes, by key. */
export async function knownDerivatives(
  db: Database,
  keys: readonly string[],
): Promise<Map<string, Derivative>> {
  const known = new Map<string, Derivative>();
  for (let from = 0; from < keys.length; from += 1000) {
    const rows = await db
      .select()
      .from(derivatives)
      .where(inArray(derivatives.recipe, keys.slice(from, from + 1000)));
    for (const row of rows) {
      const format = row.recipe.split(' ').at(-1) as PublishedFormat;
      known.set(row.recipe, { ...row, key: row.recipe, format });
    }
  }
  return known;
}

/** Remembers what was made, so that the next publish, a preview and an export find it. */
export async function rememberDerivatives(db: Database, made: readonly Derivative[]): Promise<void> {
  if (made.length === 0) return;
  await db
    .insert(derivatives)
    .values(
      made.map(({ key, hash, bytes, widthPx, heightPx }) => ({
        recipe: key,
        hash,
        bytes,
        widthPx,
        heightPx,
      })),
    )
    .onConflictDoNothing();
}
