import { and, eq, gt, inArray } from 'drizzle-orm';
import equal from 'fast-deep-equal';
import { type Page, shownOn } from '#core/pages/page.ts';
import type { Part } from '#core/parts/parts.ts';
import { fromStored, stored, versionOf } from '#core/stored/stored-json.ts';
import { pageFromStored, pageToStored, storedPage, storedPart } from '#core/stored/stored-kinds.ts';
import type { Executor, Transaction } from '../connect.ts';
import { linkKeys, pages, parts } from '../schema.ts';
import { newKey } from '../new-id.ts';
import { partsDelta } from './parts-delta.ts';
import type { RowKind, Scope, Versioned } from './row-kind.ts';

type PageColumns = typeof pages.$inferSelect;

/** The columns of a page, without those that say whose it is. */
function columnsOf({ id, kind, parent, rank, slug, title, height, archived, ...own }: Page) {
  const { parts: list = [], ...content } = own as Partial<{ parts: Part[] }>;
  return {
    ...{ id, kind, parent, rank, slug, title, height, archived },
    content: { ...content, v: versionOf(storedPage) },
    partOrder: list.map((part) => part.id),
  };
}

/**
 * A page from its row and its parts.
 *
 * @param known its parts by their ids
 * @throws Unreadable see `fromStored`
 */
function pageOf({ siteId: _, revision: __, content, partOrder, ...row }: PageColumns, known: Known): Page {
  const list = partOrder.flatMap((id) => known.get(id) ?? []);
  return fromStored(storedPage, { ...row, parts: list, ...content });
}
type Known = ReadonlyMap<string, Part>;

const asPart = (content: unknown): Part => fromStored(storedPart, content);

/**
 * Pages of a site as they are now, in no order.
 *
 * @param only of these pages; of all when left out
 */
export async function readPages(
  db: Executor,
  site: string,
  only?: readonly string[],
): Promise<Versioned<Page>[]> {
  const rows = await db
    .select()
    .from(pages)
    .where(and(eq(pages.siteId, site), only && inArray(pages.id, [...only])));
  const found = await db
    .select({ page: parts.pageId, content: parts.content })
    .from(parts)
    .where(and(eq(parts.siteId, site), only && inArray(parts.pageId, [...only])));
  const ofPages = new Map<string, Map<string, Part>>(rows.map(({ id }) => [id, new Map()]));
  for (const { page, content } of found) {
    const part = asPart(content);
    ofPages.get(page)?.set(part.id, part);
  }
  return rows.map((row) => ({ row: pageOf(row, ofPages.get(row.id) ?? new Map()), revision: row.revision }));
}

/**
 * Pages of a site that were written after a revision. Of a page that is known as it was then, only the parts are read that
 * were written since.
 *
 * @param known pages as they were at that revision
 */
export async function readPagesSince(
  db: Executor,
  site: string,
  since: number,
  known: (page: string) => Page | undefined,
): Promise<Versioned<Page>[]> {
  const rows = await db
    .select()
    .from(pages)
    .where(and(eq(pages.siteId, site), gt(pages.revision, since)));
  if (rows.length === 0) return [];
  const ids = rows.map(({ id }) => id);
  const written = await db
    .select({ page: parts.pageId, content: parts.content })
    .from(parts)
    .where(and(inArray(parts.pageId, ids), gt(parts.revision, since)));
  const fresh = new Map(ids.map((id) => [id, new Map<string, Part>()]));
  for (const { page, content } of written) {
    const part = asPart(content);
    fresh.get(page)?.set(part.id, part);
  }
  const whole: Versioned<Page>[] = [];
  const unsure: string[] = [];
  for (const row of rows) {
    const before = known(row.id);
    const all = new Map((before ? shownOn(before).parts : []).map((part): [string, Part] => [part.id, part]));
    for (const [id, part] of fresh.get(row.id) ?? []) all.set(id, part);
    if (row.partOrder.every((id) => all.has(id)))
      whole.push({ row: pageOf(row, all), revision: row.revision });
    else unsure.push(row.id);
  }
  // A part that was written before that revision and is not known, as when a page came back by an undo.
  return unsure.length === 0 ? whole : [...whole, ...(await readPages(db, site, unsure))];
}

async function writeParts(
  tx: Transaction,
  scope: Scope,
  page: string,
  before: readonly Part[],
  after: readonly Part[],
  revision: number,
): Promise<void> {
  const was = new Map(before.map((part) => [part.id, part]));
  const is = new Set(after.map(({ id }) => id));
  const gone = before.filter(({ id }) => !is.has(id)).map(({ id }) => id);
  if (gone.length > 0) await tx.delete(parts).where(and(eq(parts.pageId, page), inArray(parts.id, gone)));
  const write = after.filter((part) => !equal(was.get(part.id), part));
  const fresh = write.filter(({ id }) => !was.has(id));
  if (fresh.length > 0)
    await tx.insert(parts).values(
      fresh.map((part) => ({
        pageId: page,
        id: part.id,
        siteId: scope.site,
        content: stored(storedPart, part),
        revision,
      })),
    );
  for (const part of write.filter(({ id }) => was.has(id)))
    await tx
      .update(parts)
      .set({ content: stored(storedPart, part), revision })
      .where(and(eq(parts.pageId, page), eq(parts.id, part.id)));
}

/** A page of the site, with a link of its own from the start. */
export const pageRow: RowKind<Page> = {
  ownRevision: true,
  stored: { write: pageToStored, read: pageFromStored },
  deltas: { parts: partsDelta },
  read: async (tx, scope, id) => {
    const [row] = await tx
      .select({ id: pages.id })
      .from(pages)
      .where(and(eq(pages.id, id), eq(pages.siteId, scope.site)))
      .for('update');
    const [page] = row ? await readPages(tx, scope.site, [id]) : [];
    return page ?? null;
  },
  insert: async (tx, scope, page, revision) => {
    await tx.insert(pages).values({ ...columnsOf(page), siteId: scope.site, revision });
    await writeParts(tx, scope, page.id, [], shownOn(page).parts, revision);
    // Brought back by an undo, it has its old link.
    await tx
      .insert(linkKeys)
      .values({ thing: page.id, siteId: scope.site, key: newKey() })
      .onConflictDoNothing();
  },
  update: async (tx, scope, before, after, revision) => {
    const [was, is] = [columnsOf(before), columnsOf(after)];
    const changed = Object.entries(is).filter(
      ([name, value]) => !equal(value, was[name as keyof typeof was]),
    );
    await tx
      .update(pages)
      .set({ ...Object.fromEntries(changed), revision })
      .where(eq(pages.id, after.id));
    await writeParts(tx, scope, after.id, shownOn(before).parts, shownOn(after).parts, revision);
  },
  remove: async (tx, id) => {
    await tx.delete(pages).where(eq(pages.id, id));
  },
};
