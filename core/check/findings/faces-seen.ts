import { blackOutOf } from '../../personal/black-out-of.ts';
import { stillSeen } from '../../personal/still-seen.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';
import { forUnderAge } from './personal-data.ts';

/**
 * Faces to be seen in the pictures and documents of a page: whether they may be shown is asked of each picture. Needed where its maker is
 * under 18. One face on the page about a maker of age is taken for theirs.
 */
export const facesSeen = ({ page, site, materials, inside }: CheckedPage): Noticed[] =>
  standingOn(page).flatMap(({ material, part }): Noticed[] => {
    const one = materials.get(material);
    if (!one) return [];
    const seen = (inside[material] ?? []).flatMap((found) => {
      const left = found.kind === 'face' ? stillSeen(found, one.fixes) : null;
      return left ? [left] : [];
    });
    if (seen.length === 0 || (seen.length === 1 && page.kind === 'about' && !site.underAge)) return [];
    const drawn = seen.every(({ regions }) => regions.length > 0);
    const places = seen.flatMap(blackOutOf);
    const them = seen.length === 1 ? 'it' : 'them';
    const hide = drawn ? `black ${them} out, or cut ${them} off` : 'take the picture out of the file';
    return [
      {
        ...{ weight: site.underAge ? 'needed' : 'nice', part, material },
        ...(drawn && { blackOut: places }),
        of: `${one.original} ${JSON.stringify(drawn ? places : seen.length)}`,
        says: `In ${called(one)} there ${seen.length === 1 ? 'is what looks like a face' : `are ${seen.length} things that look like faces`}.`,
        why: site.underAge
          ? `Whoever is seen can be found by it, you too. ${forUnderAge}`
          : `Whoever is seen can be found by it. Ask whether they may be shown, and let it stand once they say yes; else ${hide}.`,
      },
    ];
  });
