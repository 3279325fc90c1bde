import { and, eq } from 'drizzle-orm';
import { isAgenda } from '#core/plan/agendas-of.ts';
import { type PlannedTask, planCalendar } from '#core/plan/plan-calendar.ts';
import { shownOn } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { isOfOneWhoStays } from '../accounts/leaving-rows.ts';
import type { Database } from '../db/connect.ts';
import { newKey } from '../db/new-id.ts';
import { readPages } from '../db/rows/page-row.ts';
import { dueHandIns } from '../hand-ins/hand-in-rows.ts';
import { planFeeds, sites } from '../db/schema.ts';

/** The key of a site's feed; null where it has none. */
export async function feedKey(db: Database, site: string): Promise<string | null> {
  const [row] = await db.select({ key: planFeeds.key }).from(planFeeds).where(eq(planFeeds.siteId, site));
  return row?.key ?? null;
}

/** Gives a site's feed a key, in place of the one it had, if any. */
export async function renewFeedKey(db: Database, site: string): Promise<string> {
  const key = newKey();
  await db
    .insert(planFeeds)
    .values({ siteId: site, key })
    .onConflictDoUpdate({ target: planFeeds.siteId, set: { key, createdAt: new Date() } });
  return key;
}

export const dropFeedKey = (db: Database, site: string): Promise<unknown> =>
  db.delete(planFeeds).where(eq(planFeeds.siteId, site));

/** The site whose feed has a key; null where none has. */
export async function siteOfFeed(db: Database, key: string): Promise<{ id: string; title: string } | null> {
  const [row] = await db
    .select({ id: sites.id, title: sites.title })
    .from(planFeeds)
    .innerJoin(sites, eq(sites.id, planFeeds.siteId))
    .where(and(eq(planFeeds.key, key), isOfOneWhoStays));
  return row ?? null;
}

/** The open tasks of a site as a calendar. */
export async function calendarOf(
  db: Database,
  site: { id: string; title: string },
  publicOrigin: string,
): Promise<string> {
  const tasks: PlannedTask[] = [];
  for (const { row: page } of await readPages(db, site.id))
    for (const { entries } of shownOn(page).parts.filter(isAgenda))
      for (const task of entries)
        if (task.kind === 'task' && task.what.trim() !== '')
          tasks.push({ task, page: pageName(page), url: `${publicOrigin}/studio/${site.id}/plan` });
  for (const { id, what, forWhom, due, timeZone, handedAt } of await dueHandIns(db, site.id)) {
    if (due === null || handedAt !== null) continue;
    const [day = '', time = ''] = due.split('T');
    tasks.push({
      task: {
        id,
        height: 'private',
        kind: 'task',
        what: `Hand in: ${what}`,
        day,
        time,
        done: null,
        zone: timeZone,
      },
      ...{ page: forWhom, url: `${publicOrigin}/studio/${site.id}/share/hand-ins` },
    });
  }
  return planCalendar(tasks, { name: site.title, stamp: new Date() });
}
