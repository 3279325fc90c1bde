import { and, desc, eq, sql } from 'drizzle-orm';
import type { CapturePlace } from '#contract/capture.ts';
import { pageKinds, rulesOfPage } from '#core/pages/page-kinds.ts';
import type { Database } from '../db/connect.ts';
import { pages, parts, sites } from '../db/schema.ts';

/** The pages of a maker's sites that can hold moments, what was worked on last first; projects before pages of other kinds. */
export async function placesToCapture(db: Database, account: string): Promise<CapturePlace[]> {
  const touched = sql<number>`greatest(${pages.revision}, (
    select coalesce(max(${parts.revision}), 0) from ${parts} where "part"."page_id" = "page"."id"))`;
  const rows = await db
    .select({
      ...{ site: sites.id, siteTitle: sites.title },
      ...{ page: pages.id, kind: pages.kind, title: pages.title },
    })
    .from(sites)
    .innerJoin(pages, eq(pages.siteId, sites.id))
    .where(and(eq(sites.accountId, account), eq(pages.archived, false)))
    .orderBy(desc(touched));
  const own = rows.filter(({ kind }) => pageKinds.includes(kind) && rulesOfPage({ kind }).opens);
  const isWork = ({ kind }: { kind: string }) => rulesOfPage({ kind }).isWork;
  return [...own.filter(isWork), ...own.filter((row) => !isWork(row))];
}
