import { coarseHere, coarseInWords } from '../../gallery/coarse-here.ts';
import { shownSize } from '../../gallery/fixed-frame.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Pictures with too few pixels for where they stand. */
export const pictureCoarse = ({ page, materials }: CheckedPage): Noticed[] =>
  standingOn(page).flatMap(({ material, part, place }) => {
    const one = materials.get(material);
    if (one?.kind !== 'picture' || place === null) return [];
    const coarse = coarseHere(shownSize(one.facts, one.fixes), place);
    if (!coarse) return [];
    return {
      ...{ weight: 'nice' as const, part, material, of: `${coarse.hasPx} ${place}` },
      says: `${called(one)} is ${coarseInWords(coarse)}`,
      why: 'Bring a larger copy, or give it a smaller place.',
    };
  });
