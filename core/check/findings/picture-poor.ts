import type { Place } from '../../gallery/coarse-here.ts';
import type { Warning } from '../../gallery/picture-quality.ts';
import type { Fixes } from '../../materials/fixes.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Places where a picture is small enough that nobody sees that it is not sharp (our choice). */
const small: ReadonlySet<Place> = new Set(['strip', 'gallery']);

const told: { [K in Exclude<Warning, 'too-small'>]: { says: string; why: string } } = {
  'perhaps-blurred': {
    says: 'may not be sharp, and is shown large.',
    why: 'Take it again, bring another one, or give it a place in a gallery.',
  },
  'very-dark': {
    says: 'is very dark.',
    why: 'On a phone by day nothing may be seen of it. Make it lighter where it was gathered, or take it again by a window.',
  },
  'very-bright': {
    says: 'is very bright.',
    why: 'What is light in it may be lost on the page. Make it darker where it was gathered, or take it again.',
  },
};

/** What its maker has already seen to. */
const isMended = (warning: Warning, { brightness = 0 }: Fixes): boolean =>
  (warning === 'very-dark' && brightness > 0) || (warning === 'very-bright' && brightness < 0);

/** Pictures that are blurred, dark or bright for where they stand; too few pixels are said by a rule of their own. */
export const picturePoor = ({ page, materials, lookedAt }: CheckedPage): Noticed[] =>
  standingOn(page).flatMap(({ material, part, place }) => {
    const one = materials.get(material);
    if (one?.kind !== 'picture') return [];
    return (lookedAt.warnings[material] ?? []).flatMap((warning): Noticed[] => {
      if (warning === 'too-small' || isMended(warning, one.fixes)) return [];
      if (warning === 'perhaps-blurred' && (place === null || small.has(place))) return [];
      const { says, why } = told[warning];
      return [
        {
          ...{ weight: 'nice', part, material, of: `${one.original} ${warning} ${place ?? ''}`, why },
          says: `${called(one)} ${says}`,
        },
      ];
    });
  });
