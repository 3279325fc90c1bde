import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Pictures that say nothing to people who cannot see them (WCAG 2.2, 1.1.1). */
export const altMissing = ({ page, materials }: CheckedPage): Noticed[] =>
  standingOn(page).flatMap(({ material, part }) => {
    const one = materials.get(material);
    if (one?.kind !== 'picture' || one.alt.trim() !== '') return [];
    return {
      ...{ weight: 'needed' as const, part, material, of: '' },
      says: `${called(one)} has no alt text.`,
      why: 'Somebody who cannot see it hears only that a picture is there. Say what it shows.',
    };
  });
