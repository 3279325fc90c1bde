import { and, eq, gt, inArray, sql } from 'drizzle-orm';
import equal from 'fast-deep-equal';
import { type Page, shownOn } from '#core/pages/page.ts';
import type { Part } from '#core/parts/parts.ts';
import { fromStored, stored, Unreadable, versionOf } from '#core/stored/stored-json.ts';
import { pageFromStored, pageToStored, storedPage, storedPart } from '#core/stored/stored-kinds.ts';
import type { Executor, Transaction } from '../connect.ts';
import { linkKeys, pages, parts } from '../schema.ts';
import { newKey } from '../new-id.ts';
import { partsDelta } from './parts-delta.ts';
import type { RowKind, Scope, Versioned } from './row-kind.ts';

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
 * What a page is read by, in one statement, so that no edit can come between the page and its parts.
 *
 * @param since of its parts only those that were written after this revision; all of them when left out
 */
const columns = (since = -1) => ({
  page: pages,
  // Named in full: in a statement about one table, columns are written without it.
  parts: sql<unknown[]>`(
    select coalesce(jsonb_agg("part"."content"), '[]') from ${parts}
    where "part"."page_id" = "page"."id" and "part"."revision" > ${since})`,
});
interface PageColumns {
  page: typeof pages.$inferSelect;
  parts: unknown[];
}

/**
 * A page from its row and its parts.
 *
 * @param known parts that were not read because they are as they were
 * @throws Unreadable see `fromStored`, and where a part is missing
 */
function pageOf({ page, parts: read }: PageColumns, known: readonly Part[] = []): Versioned<Page> {
  const { siteId: _, revision, content, partOrder, ...row } = page;
  const fresh = read.map((part) => fromStored(storedPart, part));
  const all = new Map([...known, ...fresh].map((part) => [part.id, part]));
  const list = partOrder.map((id) => {
    const part = all.get(id);
    if (!part) throw new Unreadable('A part of this page is missing.');
    return part;
  });
  return { row: fromStored(storedPage, { ...row, parts: list, ...content }), revision };
}

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
    .select(columns())
    .from(pages)
    .where(and(eq(pages.siteId, site), only && inArray(pages.id, [...only])));
  return rows.map((row) => pageOf(row));
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
    .select(columns(since))
    .from(pages)
    .where(and(eq(pages.siteId, site), gt(pages.revision, since)));
  const partsOf = (id: string) => {
    const before = known(id);
    return before ? shownOn(before).parts : [];
  };
  // A part that is neither known nor written since then: the page is read whole.
  const unsure = rows.filter(({ page, parts: read }) => {
    const there = new Set([...partsOf(page.id), ...(read as { id: string }[])].map(({ id }) => id));
    return page.partOrder.some((id) => !there.has(id));
  });
  const ids = unsure.map(({ page }) => page.id);
  return [
    ...rows.filter((row) => !unsure.includes(row)).map((row) => pageOf(row, partsOf(row.page.id))),
    ...(ids.length > 0 ? await readPages(db, site, ids) : []),
  ];
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

/** Versions of a résumé have links of their own. */
const versionsOn = (page: Page): string[] =>
  shownOn(page).parts.flatMap(({ kind, id }) => (kind === 'version' ? [id] : []));

/** Gives each thing a link; what is brought back by an undo has its old one. */
async function keepKeys(tx: Transaction, scope: Scope, things: readonly string[]): Promise<void> {
  if (things.length === 0) return;
  await tx
    .insert(linkKeys)
    .values(things.map((thing) => ({ thing, siteId: scope.site, key: newKey() })))
    .onConflictDoNothing();
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
    await keepKeys(tx, scope, [page.id, ...versionsOn(page)]);
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
    const had = new Set(versionsOn(before));
    await keepKeys(
      tx,
      scope,
      versionsOn(after).filter((id) => !had.has(id)),
    );
  },
  remove: async (tx, id) => {
    await tx.delete(pages).where(eq(pages.id, id));
  },
};
