import { and, eq } from 'drizzle-orm';
import type { Draft } from '#core/sites/site.ts';
import { byRank } from '#core/pages/by-rank.ts';
import type { Database, Executor } from '../db/connect.ts';
import { materialOf } from '../db/rows/material-row.ts';
import { readPages } from '../db/rows/page-row.ts';
import { siteOf } from '../db/rows/site-row.ts';
import { materials, sites } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';

export type SiteRow = typeof sites.$inferSelect;

/** The site of this maker, or Problem 404: the one helper through which every query of the studio is scoped. */
export async function ownSite(db: Executor, account: string, site: string): Promise<SiteRow> {
  const [row] = await db
    .select()
    .from(sites)
    .where(and(eq(sites.id, site), eq(sites.accountId, account)));
  if (!row) throw new Problem(404, 'not-found', 'There is no such site of yours.');
  return row;
}

/** Everything of one site as it is now. */
export async function loadDraft(db: Executor, site: SiteRow): Promise<Draft> {
  const ofSite = await readPages(db, site.id);
  const materialRows = await db
    .select()
    .from(materials)
    .where(eq(materials.accountId, site.accountId))
    .orderBy(materials.createdAt, materials.id);
  return {
    site: siteOf(site),
    pages: ofSite.map(({ row }) => row).sort(byRank),
    materials: materialRows.map(materialOf),
  };
}

/** A maker's site with everything in it at one revision, read in one go. */
export function draftAt(
  db: Database,
  account: string,
  site: string,
): Promise<{ draft: Draft; revision: number; site: SiteRow }> {
  return db.transaction(
    async (tx) => {
      const row = await ownSite(tx, account, site);
      return { draft: await loadDraft(tx, row), revision: row.revision, site: row };
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  );
}
