import type { Id } from '../id.ts';
import type { Shown } from '../pages/page-contents.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import type { WallLabels } from '../sites/wall-labels.ts';

/**
 * Pictures that words lie over, wherever a theme lays them there: the first one of an opening that is a full picture, and covers where
 * names lie over them on the wall.
 */
export function underWords(
  labels: WallLabels,
  pages: readonly ({ kind: string } & Pick<Shown, 'cover' | 'opening'>)[],
): Set<Id> {
  const ids = new Set<Id>();
  for (const page of pages) {
    const { opening, cover } = page;
    const [first] = opening.pictures;
    if (opening.layout === 'full' && first !== undefined) ids.add(first);
    if (labels === 'over' && rulesOfPage(page).isWork && cover.picture !== null) ids.add(cover.picture);
  }
  return ids;
}
