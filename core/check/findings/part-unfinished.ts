import { isEmptyPart } from '../../parts/is-empty-part.ts';
import { isKnownPart, rulesOf } from '../../parts/parts.ts';
import type { CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Parts that are begun and not whole, such as evidence that does not say why it is there. */
export const partUnfinished = ({ page }: CheckedPage): Noticed[] =>
  page.parts.flatMap((part) => {
    if (!isKnownPart(part) || isEmptyPart(part)) return [];
    const rules = rulesOf(part);
    const needs = rules.needs(part);
    if (needs === null) return [];
    return {
      ...{ weight: 'nice' as const, part: part.id, material: null, of: needs },
      says: `The ${rules.noun} still needs ${needs}.`,
      why: 'It is begun, so readers get it as it is. Say the rest, or take it off.',
    };
  });
