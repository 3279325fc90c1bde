import { eq } from 'drizzle-orm';
import type { DraftHeights, PageHeights } from '#core/access/heights-of.ts';
import { partHeight } from '#core/access/part-height.ts';
import { type Page, shownOn } from '#core/pages/page.ts';
import { heldIn } from '#core/parts/held-in.ts';
import type { Transaction } from './connect.ts';
import type { RowChange } from './rows/rows.ts';
import { readPages } from './rows/page-row.ts';
import { siteOf } from './rows/site-row.ts';
import { sites } from './schema.ts';

type PageChange = Extract<RowChange, { table: 'page' }>;

/** Whether a change of a page moved it or its parts in height; of one that came or went, always. */
function movesPage({ before, after }: PageChange): boolean {
  return (
    !before ||
    !after ||
    before.height !== after.height ||
    before.parent !== after.parent ||
    before.archived !== after.archived
  );
}

function movesParts({ before, after }: PageChange): boolean {
  const things = (page: Page | null) =>
    (page ? shownOn(page).parts : []).flatMap((part) => [
      // How high it flies may follow from what it says as well, where its maker is under 18.
      [part.id, `${part.height} ${partHeight(part, { underAge: true })}`] as const,
      ...heldIn(part).map(({ id, height }) => [id, height] as const),
    ]);
  const was = new Map<string, string>(things(before));
  const is = things(after);
  return was.size !== is.length || is.some(([id, height]) => was.get(id) !== height);
}

/**
 * How high everything of a site flew before and after some changes, which have been written; null when none of them can
 * have moved anything, so that typing costs nothing here.
 */
export async function heightsAround(
  tx: Transaction,
  site: string,
  changes: readonly RowChange[],
): Promise<{ before: DraftHeights; after: DraftHeights } | null> {
  const ofSite = changes.find((change) => change.table === 'site');
  const ofPages = changes.filter((change) => change.table === 'page');
  const siteMoves =
    ofSite &&
    (ofSite.before?.height !== ofSite.after?.height || ofSite.before?.underAge !== ofSite.after?.underAge);
  if (!siteMoves && !ofPages.some((change) => movesPage(change) || movesParts(change))) return null;

  const [row] = await tx.select().from(sites).where(eq(sites.id, site));
  if (!row) return null;
  const { id, height, underAge } = siteOf(row);
  const rows: PageHeights[] = (await readPages(tx, site)).map((page) => page.row);
  const before = new Map<string, PageHeights>(rows.map((page) => [page.id, page]));
  // A page that was changed twice was first as the first of its changes has it.
  for (const { id, before: was } of [...ofPages].reverse()) {
    const page: Page | null = was;
    if (page) before.set(id, page);
    else before.delete(id);
  }
  return {
    before: { site: { id, height, underAge, ...ofSite?.before }, pages: [...before.values()] },
    after: { site: { id, height, underAge }, pages: rows },
  };
}
