import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixedDraftArbitrary } from '../access/arbitrary-draft.ts';
import { seenBy } from '../access/seen-by.ts';
import { quarterShares } from '../parts/beside.ts';
import { newPart } from '../parts/new-part.ts';
import type { SeenPart } from '../parts/parts.ts';
import { placedParts } from './placed-parts.ts';

test('every part stands once, in order, and never nearer to the one above than nothing', () => {
  fc.assert(
    fc.property(mixedDraftArbitrary, fc.boolean(), (draft, isCaptioned) => {
      for (const { parts } of seenBy(draft, { kind: 'maker' })?.pages ?? []) {
        const placed = placedParts(parts, () => isCaptioned);
        const ids = placed.flatMap(({ part, beside, more }) => [
          part.id,
          ...(beside ? [beside.part.id] : []),
          ...more.map((one) => one.part.id),
        ]);
        expect(ids).toEqual(parts.map(({ id }) => id));
        for (const { beside, space } of placed) {
          if (beside) expect(quarterShares).toContain(beside.share);
          expect(space === 'gutter' || (space >= 0 && space <= 4)).toBe(true);
        }
      }
    }),
  );
});

test('facts about the maker that follow each other stand together, and beside nothing', () => {
  const part = (kind: Parameters<typeof newPart>[0], id: string, besides?: string): SeenPart =>
    ({ ...newPart(kind, id), ...(besides && { beside: { with: besides, share: 0.5 } }) }) as SeenPart;
  const placed = placedParts(
    [
      part('portrait', 'me'),
      part('place', 'town', 'me'),
      part('words', 'words', 'town'),
      part('headline', 'late'),
    ],
    () => false,
  );
  expect(
    placed.map((one) => [one.part.id, one.beside, one.more.map(({ part: { id }, at }) => [id, at])]),
  ).toEqual([
    ['me', null, [['town', 1]]],
    ['words', null, []],
    ['late', null, []],
  ]);
});
