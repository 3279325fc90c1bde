import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { contrast } from './colour.ts';
import { comforts, needed } from './comfort.ts';
import { lightMapSize, lightMapText } from './light-map.ts';
import type { Lettering, PairLettering } from './lettering.ts';
import { asTheThemeComes, type Look } from './look.ts';
import { sharePicture, sharePictureSize } from './share-picture.ts';
import { themeNames } from './theme-names.ts';

/** Says where words are drawn, instead of drawing them. */
const lettering = (drawn: { words: string; x: number; y: number; size: number }[]): PairLettering => {
  const one: Lettering = {
    draws: (words) => !/\p{sc=Arabic}/u.test(words),
    widthOf: (words) => [...words].length * 0.55,
    outline: (words, x, y, size) => {
      drawn.push({ words, x, y, size });
      return 'M0 0';
    },
  };
  return { display: one, text: one };
};

const cells = lightMapSize ** 2;
const light = (lightest: number, darkest: number): string =>
  lightMapText({
    columns: lightMapSize,
    rows: lightMapSize,
    lightest: new Uint8Array(cells).fill(lightest),
    darkest: new Uint8Array(cells).fill(darkest),
  });
const picture = (widthPx: number, heightPx: number, of = light(200, 60)) => ({
  ...{ widthPx, heightPx, light: of },
  focus: { x: 0.5, y: 0.5 },
});
const look = (change: Partial<Look> = {}): Look => ({
  theme: 'broadsheet',
  ...asTheThemeComes,
  ...change,
});
const page = { title: 'Tide clock', by: 'Ash Fernandez' };

describe('the picture shown where a link is passed on', () => {
  test('words stay inside it, whatever the title, the picture and the theme', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...themeNames),
        fc.stringMatching(/^[a-z]{1,60}( [a-z]{1,20}){0,20}$/),
        fc.option(fc.tuple(fc.integer({ min: 1, max: 3000 }), fc.integer({ min: 1, max: 3000 }))),
        (theme, title, size) => {
          const drawn: Parameters<typeof lettering>[0] = [];
          const made = sharePicture(
            { title, by: 'Ash Fernandez' },
            look({ theme }),
            size && picture(...size),
            lettering(drawn),
          );
          expect(made).not.toBeNull();
          const wordsEnd = made?.picture && made.picture.left > 0 && size && size[1] > size[0];
          for (const { words, x, y, size: high } of drawn) {
            expect(x).toBeGreaterThanOrEqual(40);
            expect(x + [...words].length * 0.55 * high).toBeLessThanOrEqual(
              wordsEnd ? (made.picture?.left ?? 0) : sharePictureSize.width - 40,
            );
            expect(y - high).toBeGreaterThanOrEqual(0);
            expect(y).toBeLessThanOrEqual(sharePictureSize.height - 14);
          }
          // Lines of one title do not lie on each other.
          const lines = drawn.filter(({ size: high }) => high !== 30).map(({ y }) => y);
          expect(new Set(lines).size).toBe(lines.length);
        },
      ),
    );
  });

  test('words over a picture hold their ratio at its worst, by WCAG’s formula, in either comfort', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...comforts),
        fc.integer({ min: 0, max: 255 }),
        fc.integer({ min: 0, max: 255 }),
        (comfort, one, other) => {
          const [darkest, lightest] = [Math.min(one, other), Math.max(one, other)];
          const made = sharePicture(
            page,
            look({ comfort }),
            picture(1600, 900, light(lightest, darkest)),
            lettering([]),
          );
          const veil = /<rect[^>]*fill="rgb\((\d+),(\d+),(\d+)\)" fill-opacity="([\d.]+)"/.exec(
            made?.over ?? '',
          );
          const ink = /<path[^>]*fill="(#[0-9a-f]+)"/.exec(made?.over ?? '')?.[1] ?? '';
          const alpha = Number(veil?.[4]);
          for (const grey of [darkest, lightest]) {
            const through = [1, 2, 3].map((at) => Number(veil?.[at]) * alpha + grey * (1 - alpha));
            const hex = `#${through.map((value) => Math.round(value).toString(16).padStart(2, '0')).join('')}`;
            const whole =
              ink.length === 4 ? `#${[...ink.slice(1)].map((sign) => sign + sign).join('')}` : ink;
            expect(contrast(whole as `#${string}`, hex as `#${string}`)).toBeGreaterThanOrEqual(
              needed[comfort].text,
            );
          }
        },
      ),
    );
  });

  test('a wide picture fills it, a high one stands beside the words, a tiny one is not blown up', () => {
    const wide = sharePicture(page, look(), picture(1600, 900), lettering([]));
    expect(wide?.picture).toMatchObject({ left: 0, top: 0, ...sharePictureSize });
    const high = sharePicture(page, look(), picture(900, 1600), lettering([]));
    expect(high?.picture?.height).toBe(630);
    expect(high?.picture?.left).toBeGreaterThan(500);
    const tiny = sharePicture(page, look(), picture(120, 80), lettering([]));
    expect(tiny?.picture).toMatchObject({ width: 240, height: 160 });
  });

  test('what its fonts cannot draw is left out, and nothing is left of a page that is only that', () => {
    const arabic = { title: 'ساعة المد', by: 'Ash Fernandez' };
    const drawn: Parameters<typeof lettering>[0] = [];
    const made = sharePicture(arabic, look(), picture(1600, 900), lettering(drawn));
    expect(made?.picture).not.toBeNull();
    expect(drawn).toEqual([]);
    expect(sharePicture(arabic, look(), null, lettering([]))).toBeNull();
  });

  test('the maker is not named twice', () => {
    const drawn: Parameters<typeof lettering>[0] = [];
    sharePicture({ title: 'Ash Fernandez', by: 'Ash Fernandez' }, look(), null, lettering(drawn));
    expect(drawn.map(({ words }) => words)).toEqual(['Ash Fernandez']);
  });
});
