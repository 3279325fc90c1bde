import type { Id } from '../id.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import type { WallLabels } from '../sites/wall-labels.ts';
import { coverOf, type Covered } from './cover-of.ts';

/**
 * Pictures that words lie over, wherever a theme lays them there: the first one of an opening that is a full picture, and covers where
 * names lie over them on the wall.
 */
export function underWords(
  labels: WallLabels,
  pages: readonly ({ kind: string } & Covered)[],
  isPicture: (id: Id) => boolean,
): Set<Id> {
  const ids = new Set<Id>();
  for (const page of pages) {
    const [first] = page.opening.pictures;
    if (page.opening.layout === 'full' && first !== undefined) ids.add(first);
    const cover = labels === 'over' && rulesOfPage(page).isWork ? coverOf(page, isPicture) : null;
    if (cover !== null) ids.add(cover);
  }
  return ids;
}
