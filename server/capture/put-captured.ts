import { and, desc, eq, lt, sql } from 'drizzle-orm';
import type { Captured } from '#core/capture/captured.ts';
import { withCaptured } from '#core/capture/with-captured.ts';
import { isShown } from '#core/pages/page.ts';
import { partsSchema } from '#core/parts/parts.ts';
import type { Commands } from '../commands/commands.ts';
import type { Edit } from '../db/edit.ts';
import { newId } from '../db/new-id.ts';
import { readPages } from '../db/rows/page-row.ts';
import type { Scope } from '../db/rows/row-kind.ts';
import { captured, parts } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';

/** What has arrived is remembered for so long; a device that sends the same again later has been lost and found. */
const rememberedDays = 180;

/** The moment that the things of a capture were put into, and the page it stands on now; null before the first of them. */
async function momentOf(
  { tx }: Edit,
  site: string,
  capture: string,
): Promise<{ moment: string; page: string } | null> {
  const [last] = await tx
    .select({ moment: captured.moment })
    .from(captured)
    .where(and(eq(captured.siteId, site), eq(captured.capture, capture)))
    .orderBy(desc(captured.createdAt))
    .limit(1);
  if (!last) return null;
  const [standing] = await tx
    .select({ page: parts.pageId })
    .from(parts)
    .where(and(eq(parts.siteId, site), eq(parts.id, last.moment)));
  return standing ? { ...last, ...standing } : null;
}

/**
 * Puts a thing that was captured into its moment, as an edit that can be undone. One that has arrived before changes nothing, not
 * even where its moment was taken off since.
 *
 * @throws Problem 404 where the site or the material is not this maker's, 409 where the page is gone or full
 */
export async function putCaptured(
  commands: Commands,
  scope: Scope,
  { page: wanted, ...thing }: Captured & { page: string },
): Promise<{ moment: string; page: string }> {
  let put = { moment: '', page: wanted };
  const what = { label: 'Captured on the way', mergeKey: `captured ${thing.capture}` };
  await commands.run(scope, what, async (running) => {
    const { tx } = running;
    const [known] = await tx
      .select({ moment: captured.moment })
      .from(captured)
      .where(and(eq(captured.siteId, scope.site), eq(captured.thing, thing.id)));
    if (known) {
      put = { ...put, ...known };
      return;
    }
    const begun = await momentOf(running, scope.site, thing.capture);
    // A moment that was moved meanwhile is added to where it stands now.
    const pageId = begun?.page ?? wanted;
    const [found] = await readPages(tx, scope.site, [pageId]);
    const page = found?.row;
    if (!page || !isShown(page))
      throw new Problem(
        409,
        'page-gone',
        'The page this was kept for is not there any more. Choose another one; what you kept stays on this device.',
      );
    if (thing.what.kind === 'material') {
      const { row } = await running.find('material', thing.what.material);
      if (row.project === null) await running.update('material', row.id, { project: pageId });
    }
    const { parts: all, moment } = withCaptured(page.parts, thing, {
      into: begun?.moment ?? null,
      freshId: newId(),
    });
    const checked = partsSchema.safeParse(all);
    if (!checked.success)
      throw new Problem(
        409,
        'page-full',
        'That page holds as many moments as a page can. Choose another one.',
      );
    await running.update('page', pageId, { parts: checked.data });
    await tx
      .delete(captured)
      .where(
        and(
          eq(captured.siteId, scope.site),
          lt(captured.createdAt, sql`now() - make_interval(days => ${rememberedDays})`),
        ),
      );
    await tx.insert(captured).values({ siteId: scope.site, thing: thing.id, capture: thing.capture, moment });
    put = { moment, page: pageId };
  });
  return put;
}
