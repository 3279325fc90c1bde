import { isEmptyPart } from '../../parts/is-empty-part.ts';
import { rulesOf } from '../../parts/parts.ts';
import type { CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** What an outline asks for and nobody has filled in: readers do not get it. */
export const outlineUnfilled = ({ page }: CheckedPage): Noticed[] =>
  page.parts
    .filter((part) => (part.prompt ?? '') !== '' && isEmptyPart(part))
    .map((part) => ({
      ...{ weight: 'needed' as const, part: part.id, material: null, of: part.prompt ?? '' },
      says: `Nobody has filled in the ${rulesOf(part).noun}: “${part.prompt ?? ''}”`,
      why: 'Readers do not get it as long as it is empty. Fill it in, or take it off the page.',
    }));
