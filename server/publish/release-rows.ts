import { and, desc, eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import { releases } from '../db/schema.ts';

/** So many are listed; older ones stay and can be brought back once there is a list that goes on. */
const mostListed = 100;

/** A site's releases, the newest first, without what is in them. */
export const releasesOf = (
  db: Database,
  site: string,
): Promise<{ id: number; number: number; name: string; createdAt: Date }[]> =>
  db
    .select({
      id: releases.id,
      number: releases.number,
      name: releases.name,
      createdAt: releases.createdAt,
    })
    .from(releases)
    .where(eq(releases.siteId, site))
    .orderBy(desc(releases.number))
    .limit(mostListed);

/** The id of a site's release of a number; null where it has none. */
export async function releaseNumbered(db: Database, site: string, number: number): Promise<number | null> {
  const [release] = await db
    .select({ id: releases.id })
    .from(releases)
    .where(and(eq(releases.siteId, site), eq(releases.number, number)));
  return release?.id ?? null;
}
