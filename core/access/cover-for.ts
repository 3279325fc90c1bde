import { type Cover, noCover } from '../pages/cover.ts';
import type { Shown } from '../pages/page-contents.ts';
import { standingParts } from '../moments/moments-of.ts';
import { materialsOf } from '../parts/materials-of.ts';
import type { Part } from '../parts/parts.ts';

/**
 * The cover for somebody who is shown some of a page's parts. A cover is a pick among pictures, not a place of its own:
 * where its picture stands on the page, in parts that are all kept from them, the cover is kept from them as well. A
 * picture that stands in no part was chosen for the cover alone, or stands in the opening. Moments do not count: what they show is kept
 * to be chosen from.
 *
 * @param shown those of the page's parts that they are shown
 */
export function coverFor(
  { cover, opening, parts }: Pick<Shown, 'cover' | 'opening' | 'parts'>,
  shown: readonly Part[],
): Cover {
  const { picture } = cover;
  if (picture === null || opening.pictures.includes(picture)) return cover;
  const standsIn = (list: readonly Part[]) =>
    standingParts(list).some((part) => materialsOf(part).includes(picture));
  return standsIn(shown) || !standsIn(parts) ? cover : noCover;
}
