import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { contrast, hexOf } from './colour.ts';
import { comforts, needed } from './comfort.ts';
import { lightMapOf, lightMapText } from './light-map.ts';
import { asTheThemeComes, type Look } from './look.ts';
import { coloursOf } from './look-rules.ts';
import { commonPairs } from './theme-colours.ts';
import { themeNames } from './theme-names.ts';
import { luminanceThrough, veilOfGround } from './veil-of-ground.ts';

type Hex = `#${string}`;
const hex = (channels: readonly number[]): Hex =>
  `#${channels.map((value) => Math.round(value).toString(16).padStart(2, '0')).join('')}`;
const channelsOf = (colour: string) => [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16));
/** As a browser lays a colour over another, channel by channel. */
const over = (top: string, alpha: number, below: readonly number[]): Hex =>
  hex(channelsOf(top).map((value, at) => alpha * value + (1 - alpha) * (below[at] ?? 0)));
const pixel = fc.tuple(
  fc.integer({ min: 0, max: 255 }),
  fc.integer({ min: 0, max: 255 }),
  fc.integer({ min: 0, max: 255 }),
);
/** Ratios from hexadecimal, which rounds each channel to a 255th. */
const rounding = 0.06;

const mapOf = (pixels: readonly (readonly number[])[]) => {
  // Each colour fills columns of its own.
  const width = pixels.length * 24;
  const data = new Uint8Array(width * 24 * 3);
  for (let at = 0; at < width * 24; at++) {
    const colour = pixels[Math.floor((at % width) / 24)] ?? [0, 0, 0];
    data.set(colour, at * 3);
  }
  return lightMapText(lightMapOf(data, { widthPx: width, heightPx: 24, channels: 3 }));
};

describe('the veil of a ground', () => {
  test('everything that stands on it holds its ratio over every colour of the picture, in each light and comfort', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...themeNames),
        fc.constantFrom(...comforts),
        fc.constantFrom('page', 'parts'),
        fc.array(pixel, { minLength: 1, maxLength: 6 }),
        fc.option(fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.integer({ min: 0, max: 359 }))),
        (theme, comfort, of, pixels, ground) => {
          const colour = ground ? hexOf({ l: ground[0], c: 0.05, h: ground[1] }) : null;
          const look: Look = {
            ...{ theme, ...asTheThemeComes, comfort },
            ground: { colour, texture: null, picture: of === 'page' ? 'a' : null },
          };
          const veil = veilOfGround(mapOf(pixels), look, of as 'page' | 'parts');
          for (const scheme of ['light', 'dark'] as const) {
            const { colours } = coloursOf(look, scheme);
            for (const { text, ground: on, kind } of commonPairs) {
              if (on !== 'paper' || (of === 'parts' && text !== 'ink')) continue;
              for (const one of pixels) {
                const ratio = contrast(
                  colours[text] ?? '#000000',
                  over(colours.paper ?? '', veil[scheme], one),
                );
                expect(ratio).toBeGreaterThan(needed[comfort][kind] - rounding);
              }
            }
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  test('bounds of luminance hold for every colour between black and white', () => {
    fc.assert(
      fc.property(pixel, pixel, fc.double({ min: 0, max: 1, noNaN: true }), (top, below, alpha) => {
        const luminance = (colour: Hex) => contrast(colour, '#000000') * 0.05 - 0.05;
        const grey = (value: number) =>
          255 * (value <= 0.0031308 ? value * 12.92 : 1.055 * value ** (1 / 2.4) - 0.055);
        const own = grey(luminance(hex(below)));
        const { least, most } = luminanceThrough(hex(top), alpha, { lightest: own, darkest: own });
        const through = luminance(over(hex(top), alpha, below));
        expect(through).toBeGreaterThan(least - 0.006);
        expect(through).toBeLessThan(most + 0.006);
      }),
      { numRuns: 500 },
    );
  });

  test('is the weaker the nearer the picture is to the page, and hides most of one that is not known', () => {
    const look: Look = { theme: 'broadsheet', ...asTheThemeComes };
    const { light: pale } = veilOfGround(mapOf([[240, 236, 228]]), look, 'parts');
    const { light: middle } = veilOfGround(mapOf([[128, 128, 128]]), look, 'parts');
    const { light: unknown } = veilOfGround(undefined, look, 'parts');
    expect(pale).toBe(0);
    expect(middle).toBeGreaterThan(pale);
    expect(unknown).toBeGreaterThan(middle);
    expect(unknown).toBeLessThan(0.9);
  });

  test('lets more than a trace of a picture through under a whole page', () => {
    for (const theme of themeNames) {
      const look: Look = { theme, ...asTheThemeComes };
      const withPicture = { ...look, ground: { ...look.ground, picture: 'a' } };
      const { light, dark } = veilOfGround(
        mapOf([
          [20, 20, 20],
          [235, 235, 235],
        ]),
        withPicture,
        'page',
      );
      expect([theme, light < 0.93, dark < 0.97]).toEqual([theme, true, true]);
    }
  });
});
