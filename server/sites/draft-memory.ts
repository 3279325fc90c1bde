import { and, count, eq, gt, sum } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import type { Material } from '#core/materials/material.ts';
import { byRank } from '#core/pages/by-rank.ts';
import type { Page } from '#core/pages/page.ts';
import type { Draft } from '#core/sites/site.ts';
import type { Executor } from '../db/connect.ts';
import { materialOf } from '../db/rows/material-row.ts';
import { readPagesSince } from '../db/rows/page-row.ts';
import { siteOf } from '../db/rows/site-row.ts';
import { materials, pages } from '../db/schema.ts';
import type { SiteRow } from './load-draft.ts';

/** Sites whose makers are at work; the others are read anew when they come back. */
const mostSites = 12;

interface Kept<R> {
  row: R;
  revision: number;
  /** When it was gathered, in ms; 0 for a page. */
  at: number;
}
interface Known {
  pages: Map<string, Kept<Page>>;
  materials: Map<string, Kept<Material>>;
}

const newest = (rows: ReadonlyMap<string, { revision: number }>): number => {
  let most = -1;
  for (const { revision } of rows.values()) if (revision > most) most = revision;
  return most;
};
const total = (rows: ReadonlyMap<string, { revision: number }>): number => {
  let all = 0;
  for (const { revision } of rows.values()) all += revision;
  return all;
};

/**
 * Drafts as they were read last, for what the studio is told after every edit: only rows that were written since are read
 * again, and a row that did not change stays the same object. Whether nothing is missing is told by how many rows there are
 * and what their revisions come to; where that is not so, everything is read anew. What readers get never comes from here.
 */
export class DraftMemory {
  readonly #known = new LRUCache<string, Known>({ max: mostSites });

  async load(db: Executor, site: SiteRow): Promise<Draft> {
    const known = this.#known.get(site.id);
    if (known) {
      await this.#read(db, site, known, newest(known.pages), newest(known.materials));
      if (await isWhole(db, site, known)) return draftOf(site, known);
    }
    const all: Known = { pages: new Map(), materials: new Map() };
    await this.#read(db, site, all, -1, -1);
    this.#known.set(site.id, all);
    return draftOf(site, all);
  }

  /** Reads what was written after the given revisions. */
  async #read(db: Executor, site: SiteRow, known: Known, pagesSince: number, since: number): Promise<void> {
    const before = (id: string) => known.pages.get(id)?.row;
    for (const { row, revision } of await readPagesSince(db, site.id, pagesSince, before))
      known.pages.set(row.id, { row, revision, at: 0 });
    for (const row of await db
      .select()
      .from(materials)
      .where(and(eq(materials.accountId, site.accountId), gt(materials.revision, since))))
      known.materials.set(row.id, {
        row: materialOf(row),
        revision: row.revision,
        at: row.createdAt.getTime(),
      });
  }
}

async function isWhole(db: Executor, site: SiteRow, known: Known): Promise<boolean> {
  const [ofPages] = await db
    .select({ rows: count(), revisions: sum(pages.revision) })
    .from(pages)
    .where(eq(pages.siteId, site.id));
  const [ofMaterials] = await db
    .select({ rows: count(), revisions: sum(materials.revision) })
    .from(materials)
    .where(eq(materials.accountId, site.accountId));
  return (
    ofPages?.rows === known.pages.size &&
    Number(ofPages.revisions ?? 0) === total(known.pages) &&
    ofMaterials?.rows === known.materials.size &&
    Number(ofMaterials.revisions ?? 0) === total(known.materials)
  );
}

function draftOf(site: SiteRow, known: Known): Draft {
  return {
    site: siteOf(site),
    pages: [...known.pages.values()].map(({ row }) => row).sort(byRank),
    materials: [...known.materials.values()]
      .sort((a, b) => a.at - b.at || (a.row.id < b.row.id ? -1 : 1))
      .map(({ row }) => row),
  };
}
