import { eq, sql } from 'drizzle-orm';
import { type Entrances, entrancesOf } from '#core/access/entrances.ts';
import type { SiteView } from '#core/access/seen-by.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { pathsOf } from '#site/render/page-inputs.ts';
import type { Transaction } from '../db/connect.ts';
import { sourceOf } from '../db/release-source.ts';
import { formerPaths, releases } from '../db/schema.ts';

/** What an index holds; pages within pages within pages could have a longer one, which is then not led on. */
const longest = 1000;
/** So many rows go into one statement. */
const atOnce = 500;

function pathsIn(site: string, entrance: string, view: SiteView | null): (typeof formerPaths.$inferInsert)[] {
  if (!view) return [];
  const paths = pathsOf(view);
  return view.pages.flatMap((page) => {
    const path = paths.get(page.id);
    return path && path.length <= longest && rulesOfPage(page).opens
      ? [{ siteId: site, entrance, path, pageId: page.id }]
      : [];
  });
}

async function keep(tx: Transaction, site: string, entrances: Entrances): Promise<void> {
  // The site's link opens all that a stranger does, at the same paths.
  const ofSite = entrances.siteLink ?? entrances.public;
  const rows = [
    ...pathsIn(site, '', ofSite),
    ...Object.entries(entrances.pageLinks).flatMap(([page, view]) => pathsIn(site, page, view)),
  ];
  for (let from = 0; from < rows.length; from += atOnce)
    await tx
      .insert(formerPaths)
      .values(rows.slice(from, from + atOnce))
      .onConflictDoUpdate({
        target: [formerPaths.siteId, formerPaths.entrance, formerPaths.path],
        set: { pageId: sql`excluded.page_id` },
        setWhere: sql`${formerPaths.pageId} <> excluded.page_id`,
      });
}

/**
 * Writes down at which paths readers get which pages from now on. A site that was published before paths were written down
 * begins with those of the release they have.
 *
 * @param live the release that readers have until now
 */
export async function keepPaths(
  tx: Transaction,
  site: string,
  live: number | null,
  entrances: Entrances,
): Promise<void> {
  const [known] = await tx
    .select({ path: formerPaths.path })
    .from(formerPaths)
    .where(eq(formerPaths.siteId, site))
    .limit(1);
  if (!known && live !== null) {
    const [row] = await tx.select({ source: releases.source }).from(releases).where(eq(releases.id, live));
    if (row) await keep(tx, site, entrancesOf(await sourceOf(tx, site, row.source)));
  }
  await keep(tx, site, entrances);
}
