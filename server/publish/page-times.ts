import { createHash } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import type { SeenPage, SiteView } from '#core/access/seen-by.ts';
import type { Id } from '#core/id.ts';
import { type PageTimes, toldOf } from '#site/render/feed.ts';
import type { Database, Transaction } from '../db/connect.ts';
import { pageTimes } from '../db/schema.ts';

export type TimesOfPages = ReadonlyMap<Id, PageTimes & { told: string }>;

/** So many rows go into one statement. */
const atOnce = 500;

/** What of a page makes it another one to its readers; where it stands does not. */
function hashOf({ parent: _, inMenu: __, onWall: ___, ...page }: SeenPage): string {
  return createHash('sha256').update(JSON.stringify(page)).digest('base64url');
}

/** Since when the work in a view is as it is: what readers have not had so becomes so now. */
export async function timesOf(db: Database, site: string, view: SiteView, now: Date): Promise<TimesOfPages> {
  const rows = await db.select().from(pageTimes).where(eq(pageTimes.siteId, site));
  const known = new Map(rows.map((row) => [row.pageId, row]));
  return new Map(
    toldOf(view).map((page) => {
      const told = hashOf(page);
      const was = known.get(page.id);
      const publishedAt = was?.publishedAt ?? now;
      return [page.id, { told, publishedAt, changedAt: was?.told === told ? was.changedAt : now }];
    }),
  );
}

/** Writes them down, once readers have the release they are told in. */
export async function keepTimes(tx: Transaction, site: string, times: TimesOfPages): Promise<void> {
  const rows = [...times].map(([pageId, of]) => ({ siteId: site, pageId, ...of }));
  for (let from = 0; from < rows.length; from += atOnce)
    await tx
      .insert(pageTimes)
      .values(rows.slice(from, from + atOnce))
      .onConflictDoUpdate({
        target: [pageTimes.siteId, pageTimes.pageId],
        set: { told: sql`excluded.told`, changedAt: sql`excluded.changed_at` },
        setWhere: sql`${pageTimes.told} <> excluded.told`,
      });
}
