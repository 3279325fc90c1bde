import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { leastDifference, oklchOf } from './colour.ts';
import { atAGlance, paletteOf } from './palette.ts';
import { themeNames } from './theme-names.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const choice = fc.record({
  theme: fc.constantFrom(...themeNames),
  seeds: fc.record({ first: fc.option(hex), second: fc.option(hex) }),
  ground: fc.option(hex),
  comfort: fc.constantFrom('AA' as const, 'AAA' as const),
  onPicture: fc.boolean(),
});
const schemes = ['light', 'dark'] as const;

describe('palettes', () => {
  test('whatever the seeds are, every pair reaches its ratio', () => {
    fc.assert(
      fc.property(choice, fc.constantFrom(...schemes), (asked, scheme) => {
        for (const { text, ground, ratio, needs } of paletteOf(asked, scheme).pairs)
          if (ratio < needs) throw new Error(`${text} on ${ground}: ${ratio} of ${needs}`);
      }),
      { numRuns: 400 },
    );
  });

  test('with the seeds a theme comes with nothing has to change at AA', () => {
    const seeds = { first: null, second: null };
    for (const theme of themeNames)
      for (const scheme of schemes) {
        const changed = paletteOf(
          { theme, seeds, ground: null, comfort: 'AA', onPicture: false },
          scheme,
        ).pairs.filter(({ before }) => before);
        expect([theme, scheme, changed]).toEqual([theme, scheme, []]);
      }
  });

  test('what went wrong and what leads somewhere are told apart by everybody', () => {
    fc.assert(
      fc.property(choice, fc.constantFrom(...schemes), (asked, scheme) => {
        const { bad = '', accent = '' } = paletteOf(asked, scheme).colours;
        expect(leastDifference(bad, accent)).toBeGreaterThanOrEqual(atAGlance);
      }),
      { numRuns: 200 },
    );
  });

  test('a hue is kept where a colour had to be moved', () => {
    fc.assert(
      fc.property(choice, fc.constantFrom(...schemes), (asked, scheme) => {
        for (const { text, colours, before } of paletteOf(asked, scheme).pairs) {
          if (!before || text === 'bad') continue;
          const [now, then] = [oklchOf(colours.text), oklchOf(before.text)];
          if (now.c < 0.03 || then.c < 0.03) continue;
          const turned = Math.abs(((now.h - then.h + 540) % 360) - 180);
          // Gamut mapping may turn a hue by what eyes cannot tell.
          expect(turned * Math.min(now.c, then.c)).toBeLessThan(1.8);
        }
      }),
      { numRuns: 150 },
    );
  });
});

describe('why a colour was changed', () => {
  const own = { seeds: { first: null, second: null }, ground: null, comfort: 'AA' as const };
  const whys = (choice: Parameters<typeof paletteOf>[0]) =>
    paletteOf(choice, 'light').pairs.flatMap(({ text, ground, before }) =>
      before ? [`${text} on ${ground}: ${before.why}`] : [],
    );

  test('is its ratio, here or on another of its grounds', () => {
    const yellow = { ...own, seeds: { first: '#c8860a', second: null } };
    const all = whys({ theme: 'broadsheet', ...yellow, onPicture: false });
    expect(all).toContain('accent on paper: here');
    for (const one of all) expect(one).toMatch(/here|elsewhere|alike/);
  });

  test('is a picture below the page where nothing else asks for it', () => {
    for (const theme of themeNames) {
      const all = whys({ theme, ...own, onPicture: true });
      expect([theme, all.length > 0]).toEqual([theme, true]);
      for (const one of all) expect(one).toMatch(/picture$|alike$/);
    }
  });
});
