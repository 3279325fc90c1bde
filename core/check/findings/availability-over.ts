import type { CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** An availability whose last day has passed. */
export const availabilityOver = ({ page, today }: CheckedPage): Noticed[] =>
  page.parts.flatMap((part) => {
    if (part.kind !== 'availability' || part.text.trim() === '' || part.to === null || part.to >= today)
      return [];
    return {
      ...{ weight: 'needed' as const, part: part.id, material: null, of: part.to },
      says: `It still says that you are free for ${part.text.trim()}, until a day that has passed.`,
      why: 'Who reads it thinks that the page is forgotten. Give new days, or take it off.',
    };
  });
