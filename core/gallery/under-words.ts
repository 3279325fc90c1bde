import type { Id } from '../id.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import type { Look } from '../look/look.ts';
import { picturesOfGround } from '../parts/ground.ts';
import type { WallLabels } from '../sites/wall-labels.ts';
import { coverOf, type Covered } from './cover-of.ts';

/**
 * Pictures that words lie over, wherever a theme lays them there: the first one of an opening that is a full picture, covers where names
 * lie over them on the wall, and grounds.
 */
export function underWords(
  { labels, look }: { labels: WallLabels; look: Pick<Look, 'ground' | 'opening'> },
  pages: readonly ({ kind: string } & Covered)[],
  isPicture: (id: Id) => boolean,
): Set<Id> {
  const ids = new Set<Id>();
  if (look.ground.picture !== null) ids.add(look.ground.picture);
  for (const page of pages) {
    const [first] = page.opening.pictures;
    if ((look.opening ?? page.opening.layout) === 'full' && first !== undefined) ids.add(first);
    const cover = labels === 'over' && rulesOfPage(page).isWork ? coverOf(page, isPicture) : null;
    if (cover !== null) ids.add(cover);
    for (const { ground } of page.parts) for (const id of picturesOfGround(ground)) ids.add(id);
  }
  return ids;
}
