import { describe, expect, test } from '@jest/globals';
import Color from 'colorjs.io';
import fc from 'fast-check';
import { blended, contrast, hexOf, leastDifference, luminance, oklchOf } from './colour.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);

describe('against colorjs.io, a reference by editors of CSS Color 4', () => {
  test('lightness, chroma and hue', () => {
    fc.assert(
      fc.property(hex, (colour) => {
        const [l, c, h] = new Color(colour).to('oklch').coords.map((value) => value ?? 0) as [
          number,
          number,
          number,
        ];
        const own = oklchOf(colour);
        expect(own.l).toBeCloseTo(l, 4);
        expect(own.c).toBeCloseTo(c, 4);
        if (c > 0.001) expect(Math.abs(((own.h - h + 540) % 360) - 180)).toBeLessThan(0.2);
      }),
    );
  });

  test('contrast and luminance', () => {
    fc.assert(
      fc.property(hex, hex, (one, other) => {
        // WCAG rounds the weights of the primaries to four places, colorjs does not.
        expect(contrast(one, other)).toBeCloseTo(new Color(one).contrast(other, 'WCAG21'), 1);
        expect(luminance(one)).toBeCloseTo(new Color(one).luminance, 4);
      }),
    );
  });

  test('colours no screen shows become those that its own gamut mapping of CSS finds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        (l, c, h) => {
          const theirs = new Color('oklch', [l, c, h]).toGamut({ space: 'srgb', method: 'css' });
          // Both stop within a hair of the edge, on either side; eyes tell from about 2 on.
          expect(new Color(hexOf({ l, c, h })).deltaE(theirs, '2000')).toBeLessThan(1.5);
        },
      ),
    );
  });

  test('how far two colours are apart for eyes with every cone', () => {
    fc.assert(
      fc.property(hex, hex, (one, other) => {
        // Theirs is seen by the light of D50, ours by that of screens, D65.
        expect(leastDifference(one, other)).toBeLessThanOrEqual(
          new Color(one).deltaE(other, '2000') * 1.15 + 1,
        );
      }),
    );
  });
});

describe('examples from outside', () => {
  test('contrast as the working group works it out', () => {
    // WCAG 2.2, definition of contrast ratio: black on white 21, a colour on itself 1.
    expect(contrast('#000000', '#ffffff')).toBe(21);
    expect(contrast('#808080', '#808080')).toBe(1);
    // WCAG 2.2, Understanding 1.4.3: #767676 is the lightest grey that reaches 4.5 on white; #777777 does not.
    expect(contrast('#767676', '#ffffff')).toBeGreaterThanOrEqual(4.5);
    expect(contrast('#777777', '#ffffff')).toBeLessThan(4.5);
  });

  test('oklch of CSS colours', () => {
    // CSS Color Module Level 4, section 9.4 (Oklab), sample values of red, from memory: 0.62796 0.25768 29.234.
    const red = oklchOf('#ff0000');
    expect(red.l).toBeCloseTo(0.62796, 3);
    expect(red.c).toBeCloseTo(0.25768, 3);
    expect(red.h).toBeCloseTo(29.234, 1);
  });

  test('red and green of one lightness are one colour to who lacks a cone', () => {
    // Common practice: the textbook pair of red-green deficiency.
    const [red, green] = [hexOf({ l: 0.6, c: 0.12, h: 35 }), hexOf({ l: 0.6, c: 0.12, h: 125 })];
    expect(new Color(red).deltaE(green, '2000')).toBeGreaterThan(30);
    expect(leastDifference(red, green)).toBeLessThan(10);
  });

  test('printed over each other', () => {
    // Compositing and Blending Level 1, section 10: B(cb, cs) = cb × cs, and cb + cs − cb × cs.
    expect(blended('#ff0000', '#00ff00', 'multiply')).toBe('#000000');
    expect(blended('#ff0000', '#00ff00', 'screen')).toBe('#ffff00');
    expect(blended('#808080', '#808080', 'multiply')).toBe('#404040');
  });
});
