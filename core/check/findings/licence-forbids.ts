import type { Licence } from '../../credits/licence.ts';
import type { Fixes } from '../../materials/fixes.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/**
 * Licences that let nobody share a changed work. The text of CC BY-ND 4.0, section 1 (a), calls adapted what is “translated,
 * altered, arranged, transformed, or otherwise modified”; whether a plain crop is one is for a court, so it is asked.
 */
const unchanged = (licence: Licence | null): boolean => licence !== null && /^CC-BY(-NC)?-ND-/.test(licence);

const changes = ({ brightness, contrast, blackOut, turn, crop, round }: Fixes): string[] => [
  ...(crop || round ? ['cut'] : []),
  ...(turn ? ['turned'] : []),
  ...(brightness || contrast ? ['made lighter or darker'] : []),
  ...(blackOut && blackOut.length > 0 ? ['blacked out in places'] : []),
];

/** Others' work that is shown changed although its licence allows only the whole. */
export const licenceForbids = ({ page, materials }: CheckedPage): Noticed[] =>
  standingOn(page).flatMap(({ material, part }) => {
    const one = materials.get(material);
    if (one?.provenance.whose !== 'someone-else' || !unchanged(one.provenance.licence)) return [];
    const done = changes(one.fixes);
    if (done.length === 0) return [];
    return {
      ...{
        weight: 'needed' as const,
        part,
        material,
        of: JSON.stringify([one.provenance.licence, one.fixes]),
      },
      says: `${called(one)} is ${done.join(' and ')}, and its licence lets it be shown only as it is.`,
      why: 'NoDerivatives means no changed copies. Take the change back, or ask whoever made it.',
    };
  });
