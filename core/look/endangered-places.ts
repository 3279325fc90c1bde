import { coverOf, type Covered } from '../gallery/cover-of.ts';
import type { Id } from '../id.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import type { WallLabels } from '../sites/wall-labels.ts';
import { widthInLetters } from '../words/width-in-letters.ts';
import type { Look } from './look.ts';
import { type Endangered, nameEndangered, openingEndangered, type OverPicture } from './words-over.ts';

/** A place where words lie over a picture. */
export interface EndangeredPlace extends Endangered {
  page: Id;
  where: 'opening' | 'wall';
}

/** A page as far as words lie over its pictures. */
export type PageOfPictures = Covered & {
  id: Id;
  kind: string;
  title: string;
  summary: string;
  parent: Id | null;
};

/**
 * Where words over pictures are hardest to read, before anything is done about it; hardest first. A picture of which nothing is known
 * yet has the veil that holds over any, and is not among them.
 *
 * @param openingsOver whether the theme lays the words of an opening over its picture
 * @param pictureOf a material as a picture; null where it is none
 */
export function endangeredPlaces(
  pages: readonly PageOfPictures[],
  { look, labels, openingsOver }: { look: Look; labels: WallLabels; openingsOver: boolean },
  pictureOf: (id: Id) => OverPicture | null,
): EndangeredPlace[] {
  const isPicture = (id: Id) => pictureOf(id) !== null;
  const places = pages.flatMap((page) => {
    const found: EndangeredPlace[] = [];
    const add = (where: EndangeredPlace['where'], one: Endangered | null) => {
      if (one) found.push({ page: page.id, where, ...one });
    };
    const first = (look.opening ?? page.opening.layout) === 'full' ? page.opening.pictures[0] : undefined;
    const opening = openingsOver && first !== undefined ? pictureOf(first) : null;
    const words = {
      title: widthInLetters(page.title),
      summary: widthInLetters(page.summary),
      hasKicker: page.parent !== null,
    };
    if (opening) add('opening', openingEndangered(opening, words, look));
    const cover = labels === 'over' && rulesOfPage(page).isWork ? coverOf(page, isPicture) : null;
    const onWall = cover === null ? null : pictureOf(cover);
    if (onWall) add('wall', nameEndangered(onWall, look));
    return found;
  });
  return places.sort((one, other) => one.without - other.without);
}
