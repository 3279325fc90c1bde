import { and, eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { classEntries, sites } from '../db/schema.ts';

/** What a mail tells of somebody's hand-in to a class; null where that is gone. What was done already is not asked again. */
export async function entryForLetter(db: Database, account: string, id: string) {
  const [found] = await db
    .select({ entry: classEntries })
    .from(classEntries)
    .innerJoin(sites, eq(sites.id, classEntries.siteId))
    .where(and(eq(classEntries.id, id), eq(sites.accountId, account)));
  if (!found) return null;
  const { className, by, siteId: site, asked, askedDoneAt, givenBack } = found.entry;
  return { className, by, site, asked: askedDoneAt === null ? asked : null, givenBack };
}
