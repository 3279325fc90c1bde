import { and, desc, eq, notInArray } from 'drizzle-orm';
import type { OutsiderTest } from '#contract/outsider.ts';
import type { Finding, OutsiderWhy } from '#core/outsider/outsider-test.ts';
import type { Database } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { outsiderTests } from '../db/schema.ts';

/** So many runs of a site are kept. */
const mostKept = 30;

/** What was found at a site, the latest first. */
export async function testsOf(db: Database, site: string): Promise<OutsiderTest[]> {
  const rows = await db
    .select()
    .from(outsiderTests)
    .where(eq(outsiderTests.siteId, site))
    .orderBy(desc(outsiderTests.createdAt))
    .limit(mostKept);
  return rows.map(({ id, createdAt, why, release, asked, findings }) => ({
    ...{ id, why, release, asked, findings },
    at: createdAt.toISOString(),
  }));
}

/** Keeps what a run found, and lets the oldest go. */
export async function keepTest(
  db: Database,
  site: string,
  found: { why: OutsiderWhy; release: number | null; asked: number; findings: Finding[] },
): Promise<void> {
  await db.insert(outsiderTests).values({ id: newId(), siteId: site, ...found });
  const kept = await testsOf(db, site);
  await db.delete(outsiderTests).where(
    and(
      eq(outsiderTests.siteId, site),
      notInArray(
        outsiderTests.id,
        kept.map(({ id }) => id),
      ),
    ),
  );
}
