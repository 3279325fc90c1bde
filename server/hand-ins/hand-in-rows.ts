import { createHash } from 'node:crypto';
import { and, asc, count, eq } from 'drizzle-orm';
import type { HandIn } from '#contract/hand-ins.ts';
import { reaches } from '#core/access/height.ts';
import { openPages } from '#core/access/open-pages.ts';
import type { Viewer } from '#core/access/viewer.ts';
import { instantOf } from '#core/dates/local-time.ts';
import { type HandInTerms, handInTermsSchema, mostHandIns } from '#core/hand-ins/hand-in.ts';
import { type HandInLink, handInWarnings } from '#core/hand-ins/hand-in-state.ts';
import type { GivenLink } from '#core/access/given-link.ts';
import { differences } from '#core/release/differences.ts';
import type { Draft } from '#core/sites/site.ts';
import type { Database, Transaction } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { type AroundLinks, aroundLinks, readersOf } from '../sites/readers-of-link.ts';
import { classEntries, handIns, passes, releases, sites } from '../db/schema.ts';
import { classesOf } from '../groups/classes-of.ts';
import { notFound, Problem } from '../http/problem.ts';
import { removePassRow } from '../passes/pass-rows.ts';
import { hadOf } from '../sites/had-now.ts';
import type { SiteRow } from '../sites/load-draft.ts';

export type HandInRow = typeof handIns.$inferSelect;

const columnsOf = (terms: HandInTerms) => ({
  ...terms,
  // What is due in an hour that comes twice is due by the end of the second one.
  dueAt: terms.due === null ? null : instantOf(terms.due, terms.timeZone, 'last'),
});

const hashOf = (path: string): string => createHash('sha256').update(path).digest('base64url');

/** How many pages somebody may open, and which. */
function pagesOf(had: Draft | null, viewer: Viewer): Set<string> {
  if (!had || !reaches(had.site.height, 'invited')) return new Set();
  return new Set(openPages(had, viewer)?.pages.map(({ id }) => id));
}

async function linkOf(
  db: Database,
  row: HandInRow,
  all: AroundLinks,
): Promise<{ path: string | null; link: HandInLink }> {
  const readers = readersOf(row.by, all);
  if (!readers)
    return { path: null, link: { gone: true, renewed: false, pages: 0, pass: null, changed: [] } };
  const { viewer, link: path, pass } = readers;
  const kept = pass && pass.pinned !== null ? await hadOf(db, all.site, pass.pinned) : null;
  const had = kept?.now ?? all.now;
  const pages = pagesOf(had, viewer);
  const then = row.releaseId === null ? null : await hadOf(db, all.site, row.releaseId);
  const before = then ? pagesOf(then.now, viewer) : new Set<string>();
  const changed =
    then && had
      ? differences(then.now, had).filter(
          ({ page }) => page !== null && (pages.has(page) || before.has(page)),
        )
      : [];
  return {
    path,
    link: {
      ...{ gone: path === null, pages: pages.size, pass, changed: changed.map(({ title }) => title) },
      // An address that was changed leads on.
      renewed:
        row.by.kind !== 'address' &&
        path !== null &&
        row.handedLink !== null &&
        row.handedLink !== hashOf(path),
    },
  };
}

/** A site's hand-ins, what is due first standing first; what has no date stands at the end. */
export async function handInsOf(db: Database, site: SiteRow, secret: Buffer, now: Date): Promise<HandIn[]> {
  const rows = await db
    .select({ row: handIns, release: releases.number })
    .from(handIns)
    .leftJoin(releases, eq(releases.id, handIns.releaseId))
    .where(eq(handIns.siteId, site.id))
    .orderBy(asc(handIns.dueAt), asc(handIns.createdAt), asc(handIns.id));
  if (rows.length === 0) return [];
  const all = await aroundLinks(db, site, secret);
  const classes = await classesOf(db, site.id);
  const told: HandIn[] = [];
  for (const { row, release } of rows) {
    const { path, link } = await linkOf(db, row, all);
    const ofClass = classes.get(row.id) ?? null;
    const warnings = handInWarnings({ ...link, ofClass: ofClass !== null }, row, now);
    told.push({
      ...handInTermsSchema.parse(row),
      ...{ id: row.id, release, link: path, warnings, ofClass },
      dueAt: row.dueAt?.toISOString() ?? null,
      handedAt: row.handedAt?.toISOString() ?? null,
    });
  }
  return told;
}

/** The hand-ins of a site with a day, as they were said. */
export const dueHandIns = (db: Database, site: string): Promise<HandInRow[]> =>
  db.select().from(handIns).where(eq(handIns.siteId, site));

export async function handInRow(db: Database, site: string, id: string): Promise<HandInRow> {
  const [row] = await db
    .select()
    .from(handIns)
    .where(and(eq(handIns.id, id), eq(handIns.siteId, site)));
  if (!row) throw notFound('This hand-in');
  return row;
}

/** @throws Problem 422 where its pass is not one of the site's */
async function checkPass(tx: Transaction, site: string, by: GivenLink): Promise<void> {
  if (by.kind !== 'pass') return;
  const [pass] = await tx
    .select({ id: passes.id })
    .from(passes)
    .where(and(eq(passes.id, by.pass), eq(passes.siteId, site)));
  if (!pass) throw new Problem(422, 'no-pass', 'This pass is not there any more. Choose another link.');
}

/** @returns its id @throws Problem 409 where a site has as many as it can have */
export const addHandIn = (db: Database, site: string, terms: HandInTerms): Promise<string> =>
  db.transaction(async (tx) => {
    await tx.select({ id: sites.id }).from(sites).where(eq(sites.id, site)).for('update');
    const [known] = await tx.select({ count: count() }).from(handIns).where(eq(handIns.siteId, site));
    if ((known?.count ?? 0) >= mostHandIns)
      throw new Problem(409, 'too-many', `A site has at most ${mostHandIns} hand-ins. Take one away first.`);
    await checkPass(tx, site, terms.by);
    const id = newId();
    await tx.insert(handIns).values({ id, siteId: site, ...columnsOf(terms) });
    return id;
  });

/** The pass of a hand-in that keeps a release for it. */
const keptFor = ({ by, keeps, handedAt }: HandInRow): string | null =>
  by.kind === 'pass' && keeps && handedAt !== null ? by.pass : null;

/** Lets readers of a pass have whatever is live again, unless another hand-in keeps something for them. */
async function letGo(tx: Transaction, site: string, pass: string | null): Promise<void> {
  if (pass === null) return;
  const others = await tx.select().from(handIns).where(eq(handIns.siteId, site));
  const [latest] = others
    .filter((one) => keptFor(one) === pass)
    .sort((a, b) => (b.handedAt?.getTime() ?? 0) - (a.handedAt?.getTime() ?? 0));
  await tx
    .update(passes)
    .set({ pinned: latest?.releaseId ?? null })
    .where(and(eq(passes.id, pass), eq(passes.siteId, site)));
}

/** What was handed in keeps by which link that was and what was live; the rest of what is said of it may change. */
export async function changeHandInRow(
  db: Database,
  site: string,
  id: string,
  terms: HandInTerms,
): Promise<void> {
  await db.transaction(async (tx) => {
    const [row] = await tx
      .select()
      .from(handIns)
      .where(and(eq(handIns.id, id), eq(handIns.siteId, site)))
      .for('update');
    if (!row) throw notFound('This hand-in');
    const isJoined = (await tx.select().from(classEntries).where(eq(classEntries.handInId, id))).length > 0;
    if (!isJoined) await checkPass(tx, site, terms.by);
    // A class gets what was shared with it by its own pass, which is all that it can end.
    const by = isJoined || row.handedAt !== null ? row.by : terms.by;
    const { keeps } = row.handedAt === null ? terms : row;
    await tx
      .update(handIns)
      .set({ ...columnsOf(terms), by, keeps })
      .where(eq(handIns.id, id));
  });
}

/** Takes a hand-in off the list. With one of a class its maker leaves that: the pass made for it goes, too. */
export async function removeHandInRow(db: Database, site: string, id: string): Promise<void> {
  const pass = await db.transaction(async (tx) => {
    const [joined] = await tx.select().from(classEntries).where(eq(classEntries.handInId, id));
    const [row] = await tx
      .delete(handIns)
      .where(and(eq(handIns.id, id), eq(handIns.siteId, site)))
      .returning();
    if (!row) throw notFound('This hand-in');
    await letGo(tx, site, keptFor(row));
    return joined?.passId ?? null;
  });
  if (pass !== null) await removePassRow(db, site, pass);
}

/** Writes down that something was handed in, with what is live; a pass that is to keep that does so from here on. */
export async function handedIn(
  db: Database,
  { id: site, ...more }: SiteRow,
  id: string,
  secret: Buffer,
  now: Date,
): Promise<void> {
  const { by } = await handInRow(db, site, id);
  const path = readersOf(by, await aroundLinks(db, { id: site, ...more }, secret))?.link ?? null;
  await db.transaction(async (tx) => {
    const [live] = await tx
      .select({ live: sites.liveRelease })
      .from(sites)
      .where(eq(sites.id, site))
      .for('update');
    const [row] = await tx
      .update(handIns)
      .set({ handedAt: now, releaseId: live?.live ?? null, handedLink: path && hashOf(path) })
      .where(and(eq(handIns.id, id), eq(handIns.siteId, site)))
      .returning();
    if (!row) throw notFound('This hand-in');
    await letGo(tx, site, keptFor(row));
  });
}

export async function notHandedIn(db: Database, site: string, id: string): Promise<void> {
  await db.transaction(async (tx) => {
    const [row] = await tx
      .select()
      .from(handIns)
      .where(and(eq(handIns.id, id), eq(handIns.siteId, site)))
      .for('update');
    if (!row) throw notFound('This hand-in');
    await tx
      .update(handIns)
      .set({ handedAt: null, releaseId: null, handedLink: null })
      .where(eq(handIns.id, id));
    await letGo(tx, site, keptFor(row));
  });
}
