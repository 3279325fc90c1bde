import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  extents,
  markOf,
  markScale,
  markSchema,
  pointFrom,
  pointText,
  pressedPoint,
  spotOf,
  spots,
} from './mark.ts';

const share = fc.integer({ min: 0, max: markScale });
const point = fc.record({ x: share, y: share });

describe('marks in a picture', () => {
  test('lie within it, whatever was chosen and pressed, and where that was', () => {
    fc.assert(
      fc.property(fc.constantFrom(...extents), fc.option(point), (extent, pressed) => {
        const mark = markOf(extent, pressed);
        if (!mark) {
          expect(extent === 'all' || pressed === null).toBe(true);
          return;
        }
        expect(markSchema.parse(mark)).toEqual(mark);
        if (!('width' in mark)) expect(mark).toEqual(pressed);
        else {
          expect(mark.x + mark.width).toBeLessThanOrEqual(markScale);
          expect(mark.y + mark.height).toBeLessThanOrEqual(markScale);
          if (extent === 'around' && pressed) {
            expect(pressed.x).toBeGreaterThanOrEqual(mark.x);
            expect(pressed.x).toBeLessThanOrEqual(mark.x + mark.width);
          }
        }
      }),
    );
  });

  test('a ninth is told by its own name, and so is a point in it', () => {
    for (const spot of spots) {
      const mark = markOf(spot, null);
      if (!mark || !('width' in mark)) throw new Error('no region');
      expect(spotOf(mark)).toBe(spot);
      expect(spotOf({ x: mark.x + mark.width / 2, y: mark.y + mark.height / 2 })).toBe(spot);
    }
    expect(spotOf({ x: markScale, y: markScale })).toBe('bottom-right');
  });

  test('a press is told in shares of the picture; one by a key is none', () => {
    const shown = { width: 280, height: 140 };
    expect(pressedPoint({ x: 140, y: 35 }, shown)).toEqual({ x: 500, y: 250 });
    expect(pressedPoint({ x: 400, y: 35 }, shown)).toEqual({ x: 1000, y: 250 });
    expect(pressedPoint({ x: 0, y: 0 }, shown)).toBeNull();
  });

  test('a point comes back as it was sent on, and nothing else is one', () => {
    fc.assert(fc.property(fc.option(point), (one) => expect(pointFrom(pointText(one))).toEqual(one)));
    for (const text of ['1', '1 2 3', '-1 2', '1001 2', 'a b', '1  2', '99999 1'])
      expect(pointFrom(text)).toBeNull();
  });
});
