import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixedDraftArbitrary } from '../access/arbitrary-draft.ts';
import { seenBy } from '../access/seen-by.ts';
import { quarterShares } from '../parts/beside.ts';
import { placedParts } from './placed-parts.ts';

test('every part stands once, in order, and never nearer to the one above than nothing', () => {
  fc.assert(
    fc.property(mixedDraftArbitrary, fc.boolean(), (draft, isCaptioned) => {
      for (const { parts } of seenBy(draft, { kind: 'maker' })?.pages ?? []) {
        const placed = placedParts(parts, () => isCaptioned);
        const ids = placed.flatMap(({ part, beside }) => [part.id, ...(beside ? [beside.part.id] : [])]);
        expect(ids).toEqual(parts.map(({ id }) => id));
        for (const { beside, space } of placed) {
          if (beside) expect(quarterShares).toContain(beside.share);
          expect(space === 'gutter' || (space >= 0 && space <= 4)).toBe(true);
        }
      }
    }),
  );
});
