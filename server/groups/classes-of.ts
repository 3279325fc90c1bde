import { eq } from 'drizzle-orm';
import type { OfClass } from '#contract/hand-ins.ts';
import type { Database } from '../db/connect.ts';
import { classEntries, groups } from '../db/schema.ts';
import { askedOf, givenBackOf } from './entry-words.ts';

/** What classes a site's hand-ins go to, by the ids of those. */
export async function classesOf(db: Database, site: string): Promise<ReadonlyMap<string, OfClass>> {
  const rows = await db
    .select({ entry: classEntries, list: groups.list, page: groups.classPage })
    .from(classEntries)
    .leftJoin(groups, eq(groups.id, classEntries.groupId))
    .where(eq(classEntries.siteId, site));
  return new Map(
    rows.map(({ entry, list, page }) => [
      entry.handInId,
      {
        ...{ name: entry.className, by: entry.by, as: entry.name, list, ticked: entry.ticked },
        words: page?.words ?? '',
        asked: askedOf(entry),
        givenBack: givenBackOf(entry),
        endedAt: entry.endedAt?.toISOString() ?? null,
      },
    ]),
  );
}
