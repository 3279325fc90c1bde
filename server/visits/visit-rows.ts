import { and, eq, gte, inArray, lt, sql } from 'drizzle-orm';
import type { VisitRow } from '#core/visits/visit-totals.ts';
import type { Database } from '../db/connect.ts';
import { formerPaths, pages, sites, visits } from '../db/schema.ts';
import type { VisitCount } from './visit-counts.ts';

/** Days are known for so long. */
const keptDays = 400;

const dayBefore = (now: Date, days: number): string =>
  new Date(now.getTime() - days * 24 * 60 * 60 * 1000).toISOString().slice(0, 10);

/** What was counted too long ago goes. */
export const forgetOldVisits = (db: Database, now: Date): Promise<unknown> =>
  db.delete(visits).where(lt(visits.day, dayBefore(now, keptDays)));

/** Adds what was counted to what is known of its day. What is of a site that is gone, or not counted any more, is dropped. */
export async function addVisits(db: Database, counts: readonly VisitCount[]): Promise<void> {
  if (counts.length === 0) return;
  await db.transaction(async (tx) => {
    const named = [...new Set(counts.map(({ site }) => site))];
    const there = new Set(
      (
        await tx
          .select({ id: sites.id })
          .from(sites)
          .where(and(inArray(sites.id, named), eq(sites.countsVisits, true)))
          .for('share')
      ).map(({ id }) => id),
    );
    const rows = counts
      .filter(({ site }) => there.has(site))
      .map(({ site, day, link, path, visits: many, visitors }) => ({
        ...{ siteId: site, day, link, path, visits: many, visitors },
      }));
    for (let from = 0; from < rows.length; from += 500)
      await tx
        .insert(visits)
        .values(rows.slice(from, from + 500))
        .onConflictDoUpdate({
          target: [visits.siteId, visits.day, visits.link, visits.path],
          set: {
            visits: sql`${visits.visits} + excluded.visits`,
            visitors: sql`${visits.visitors} + excluded.visitors`,
          },
        });
  });
}

/** What was counted of a site from a day on. */
export const visitsOf = (db: Database, site: string, from: string): Promise<VisitRow[]> =>
  db
    .select({
      day: visits.day,
      link: visits.link,
      path: visits.path,
      visits: visits.visits,
      visitors: visits.visitors,
    })
    .from(visits)
    .where(and(eq(visits.siteId, site), gte(visits.day, from)));

/** Nothing that was counted of a site is known any more. */
export const forgetVisits = (db: Database, site: string): Promise<unknown> =>
  db.delete(visits).where(eq(visits.siteId, site));

export const setCounting = (db: Database, site: string, on: boolean): Promise<unknown> =>
  db.update(sites).set({ countsVisits: on }).where(eq(sites.id, site));

/** What pages are called that readers had at paths: by the page whose link it is below (empty: the site), and the path. */
export async function titlesOfPaths(db: Database, site: string): Promise<Map<string, string>> {
  const rows = await db
    .select({ entrance: formerPaths.entrance, path: formerPaths.path, title: pages.title })
    .from(formerPaths)
    .innerJoin(pages, eq(pages.id, formerPaths.pageId))
    .where(eq(formerPaths.siteId, site));
  return new Map(rows.map(({ entrance, path, title }) => [`${entrance} ${path}`, title]));
}

/** Of each pass of a site, how often something was opened by it, and on which day last. */
export async function visitsByPass(
  db: Database,
  site: string,
): Promise<Map<string, { visits: number; lastDay: string }>> {
  const rows = await db
    .select({
      link: visits.link,
      many: sql<number>`sum(${visits.visits})::int`,
      lastDay: sql<string>`max(${visits.day})`,
    })
    .from(visits)
    .where(and(eq(visits.siteId, site), sql`${visits.link} like 'pass-%'`))
    .groupBy(visits.link);
  return new Map(
    rows.map(({ link, many, lastDay }) => [link.slice('pass-'.length), { visits: many, lastDay }]),
  );
}
