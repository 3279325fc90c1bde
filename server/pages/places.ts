import { and, eq, inArray } from 'drizzle-orm';
import type { Material } from '#core/materials/material.ts';
import type { Page } from '#core/pages/page.ts';
import type { Executor } from '../db/connect.ts';
import { materials, pages } from '../db/schema.ts';

/** Where each page of a site stands, without what is on it. */
export const placesOf = (
  db: Executor,
  site: string,
): Promise<Pick<Page, 'id' | 'kind' | 'parent' | 'rank' | 'slug' | 'height'>[]> =>
  db
    .select({
      ...{ id: pages.id, kind: pages.kind, parent: pages.parent },
      ...{ rank: pages.rank, slug: pages.slug, height: pages.height },
    })
    .from(pages)
    .where(eq(pages.siteId, site));

/** What a page is made from: those of the materials that are this maker's, in the order given. */
export async function materialsToPlace(
  db: Executor,
  account: string,
  ids: readonly string[],
): Promise<Pick<Material, 'id' | 'kind' | 'transcript'>[]> {
  if (ids.length === 0) return [];
  const rows = await db
    .select({ id: materials.id, kind: materials.kind, transcript: materials.transcript })
    .from(materials)
    .where(and(eq(materials.accountId, account), inArray(materials.id, [...ids])));
  const known = new Map(rows.map((row) => [row.id, row]));
  return ids.flatMap((id) => known.get(id) ?? []);
}
