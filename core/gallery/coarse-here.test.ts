import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { coarseHere, coarseInWords, type Place } from './coarse-here.ts';

const of = (widthPx: number, place: Place) => coarseHere({ widthPx, heightPx: widthPx }, place);

test('a picture of 24 pixels is coarse everywhere, one of a camera nowhere', () => {
  for (const place of ['opening', 'strip', 'gallery', 'text', 'wide', 'full', 'window'] as const) {
    expect(of(24, place)).toMatchObject({ hasPx: 24 });
    expect(of(4000, place)).toBeNull();
  }
});

test('what is too small for the whole width may do in a gallery', () => {
  expect(of(600, 'opening')).toEqual({ hasPx: 600, shownPx: 1280 });
  expect(of(600, 'gallery')).toBeNull();
  expect(coarseInWords({ hasPx: 600, shownPx: 1280 })).toContain('600 pixels wide and shown up to 1280');
});

test('more pixels never make it coarser', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 9000 }), fc.integer({ min: 0, max: 9000 }), (width, more) => {
      if (of(width, 'wide') === null) expect(of(width + more, 'wide')).toBeNull();
    }),
  );
});
