import { describe, expect, test } from '@jest/globals';
import Color from 'colorjs.io';
import fc from 'fast-check';
import { contrast, hexOf, oklchOf } from './colour.ts';
import { groundFor, readable } from './readable.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const needs = fc.constantFrom(3, 4.5, 7);

describe('readable', () => {
  test('nothing nearer in lightness would do, looked for by hand', () => {
    fc.assert(
      fc.property(hex, hex, needs, (start, ground, ratio) => {
        const found = readable(start, [{ ground, needs: ratio }]);
        const colour = oklchOf(start);
        const steps = Array.from({ length: 201 }, (_, at) => at / 200);
        const nearest = Math.min(
          ...steps
            .filter((l) => new Color(hexOf({ ...colour, l })).contrast(ground, 'WCAG21') >= ratio)
            .map((l) => Math.abs(l - colour.l)),
        );
        if (!found) expect(nearest).toBe(Infinity);
        else {
          expect(contrast(found, ground)).toBeGreaterThanOrEqual(ratio);
          // Two steps of the hand, and what gamut mapping moves lightness by at most.
          if (found !== start) expect(Math.abs(oklchOf(found).l - colour.l)).toBeLessThan(nearest + 0.025);
        }
      }),
      { numRuns: 60 },
    );
  });

  test('what is readable already stays as it is', () => {
    expect(readable('#123456', [{ ground: '#ffffff', needs: 7 }])).toBe('#123456');
  });

  test('on every ground at once, or not at all', () => {
    const both = [
      { ground: '#ffffff', needs: 4.5 },
      { ground: '#cccccc', needs: 4.5 },
    ];
    const found = readable('#88aa00', both);
    expect(both.every(({ ground }) => contrast(found ?? '#ffffff', ground) >= 4.5)).toBe(true);
    expect(readable('#88aa00', [...both, { ground: '#000000', needs: 4.5 }])).toBeNull();
  });

  test('a ground on which neither black nor white is readable gives way', () => {
    fc.assert(
      fc.property(hex, needs, (start, ratio) => {
        const ground = groundFor(start, ratio);
        const best = Math.max(contrast(ground, '#000000'), contrast(ground, '#ffffff'));
        expect(best).toBeGreaterThanOrEqual(ratio);
        // 4.58 can be had everywhere: WCAG 2.2, where both ratios meet is a luminance of 0.179.
        if (ratio <= 4.5) expect(ground).toBe(start);
      }),
    );
  });
});
