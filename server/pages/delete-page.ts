import { lowest } from '#core/access/height.ts';
import { heldIn } from '#core/parts/held-in.ts';
import { type Page, shownOn } from '#core/pages/page.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { pagesBelow } from '#core/pages/pages-below.ts';
import type { Edit } from '../db/edit.ts';
import { readPages } from '../db/rows/page-row.ts';
import type { Scope } from '../db/rows/row-kind.ts';
import { Problem } from '../http/problem.ts';
import { placesOf } from './places.ts';

/** All of a page that readers may have had. */
const thingsOn = (page: Page): string[] => [
  page.id,
  ...shownOn(page).parts.flatMap((part) => [part.id, ...heldIn(part).map(({ id }) => id)]),
];

/**
 * Deletes a page. What stands below it is deleted with it, or takes its place; it flies no higher there than it did, since it
 * carries the height of what it stood below from then on.
 *
 * @throws Problem 409 for the front page, 404 where the page is gone
 */
export async function removePage(
  running: Edit,
  scope: Scope,
  page: string,
  { readers, below }: { readers: 'now' | 'next-publish'; below: 'delete' | 'keep' },
): Promise<void> {
  const places = await placesOf(running.tx, scope.site);
  const own = places.find(({ id }) => id === page);
  if (own && rulesOfPage(own).isFront)
    throw new Problem(409, 'home-stays', 'The front page stays; its words can be changed.');
  const inside = pagesBelow(places, page);
  if (own && below === 'keep')
    for (const { id, height } of inside.filter(({ parent }) => parent === page))
      await running.update('page', id, { parent: own.parent, height: lowest([height, own.height]) });
  const gone = [page, ...(below === 'delete' ? inside.map(({ id }) => id) : [])];
  const rows = await readPages(running.tx, scope.site, gone);
  // Those below first: undo brings back in the other order.
  for (const id of gone.reverse()) await running.remove('page', id);
  if (readers === 'now') running.close(rows.flatMap(({ row }) => thingsOn(row)));
}
