import { describe, expect, test } from '@jest/globals';
import Color from 'colorjs.io';
import fc from 'fast-check';
import { firstLook } from './look.ts';
import { extremesIn, lightMapFrom, lightMapOf, lightMapSize, lightMapText } from './light-map.ts';
import { lowestPart } from './shown-part.ts';
import { ratioThrough, veilColours, veilOverAnything, veilsFor } from './veil.ts';
import { nameVeil, openingVeils } from './words-over.ts';

const channel = fc.integer({ min: 0, max: 255 });
const pixel = fc.tuple(channel, channel, channel);
const whole = { left: 0, top: 0, right: 1, bottom: 1 };
const flat = (rgb: readonly number[], size = 24) =>
  lightMapOf(Uint8Array.from(Array.from({ length: size * size }, () => rgb).flat()), {
    ...{ widthPx: size, heightPx: size },
    channels: 3,
  });
/** As a browser lays a veil over a pixel: each channel by itself, as sRGB has it (CSS Compositing Level 1, section 5.1). */
const through = (rgb: readonly number[], shade: string, alpha: number) =>
  new Color(
    'srgb',
    rgb.map((value, at) => (alpha * Number(shade.split(' ')[at]) + (1 - alpha) * value) / 255) as [
      number,
      number,
      number,
    ],
  );

describe('the veil', () => {
  test('no pixel of any colour is below what is said, told by colorjs.io', () => {
    fc.assert(
      fc.property(pixel, fc.constantFrom(4.5, 7), (rgb, needs) => {
        const [veil] = veilsFor(flat(rgb), [[whole]], needs);
        if (!veil) throw new Error('no veil');
        const { words, shade } = veilColours[veil.words];
        const seen = through(rgb, shade, veil.alpha).contrast(words, 'WCAG21');
        expect(seen).toBeGreaterThanOrEqual(needs - 0.01);
        expect(seen).toBeGreaterThanOrEqual(ratioThrough(veil, extremesIn(flat(rgb), whole)) - 0.01);
      }),
      { numRuns: 300 },
    );
  });

  test('is the weakest: one step less would not do', () => {
    fc.assert(
      fc.property(pixel, fc.constantFrom(4.5, 7), (rgb, needs) => {
        const map = flat(rgb);
        const [veil] = veilsFor(map, [[whole]], needs);
        if (veil && veil.alpha > 0)
          for (const words of ['light', 'dark'] as const)
            expect(ratioThrough({ words, alpha: veil.alpha - 0.02 }, extremesIn(map, whole))).toBeLessThan(
              needs,
            );
      }),
      { numRuns: 100 },
    );
  });

  test('a black picture needs none, a white one none for dark words, a grey one some', () => {
    const of = (grey: number) => veilsFor(flat([grey, grey, grey]), [[whole]], 4.5)[0];
    expect(of(0)).toEqual({ words: 'light', alpha: 0 });
    expect(of(255)).toEqual({ words: 'dark', alpha: 0 });
    expect(of(121)?.alpha).toBeGreaterThan(0);
  });

  test('only what lies under the words counts', () => {
    // Black above, white below.
    const size = 48;
    const map = lightMapOf(
      Uint8Array.from({ length: size * size * 3 }, (_, at) => (at < (size * size * 3) / 2 ? 0 : 255)),
      { widthPx: size, heightPx: size, channels: 3 },
    );
    expect(extremesIn(map, { ...whole, bottom: 0.5 })).toEqual({ lightest: 0, darkest: 0 });
    expect(extremesIn(map, { ...whole, top: 0.5 })).toEqual({ lightest: 255, darkest: 255 });
    const [both] = veilsFor(map, [[whole]], 4.5);
    expect(both?.alpha).toBeGreaterThan(0.4);
  });

  test('a glint thinner than a stem does not darken the picture, a patch does', () => {
    const size = 240;
    const withWhite = (square: number) =>
      lightMapOf(
        Uint8Array.from({ length: size * size * 3 }, (_, at) => {
          const [x, y] = [Math.floor(at / 3) % size, Math.floor(at / 3 / size)];
          return x < square && y < square ? 255 : 20;
        }),
        { widthPx: size, heightPx: size, channels: 3 },
      ).lightest[0];
    // A cell is ten pixels wide here.
    expect(withWhite(0)).toBe(20);
    expect(withWhite(1)).toBe(255);
  });
});

describe('the map', () => {
  test('comes back from text as it went, and nothing else comes from other text', () => {
    const map = flat([12, 200, 30]);
    expect(lightMapFrom(lightMapText(map))).toEqual(map);
    expect(lightMapText(map)).toHaveLength(lightMapSize ** 2 * 4);
    for (const text of ['', 'zz', lightMapText(map).slice(2)]) expect(lightMapFrom(text)).toBeNull();
  });

  test('a picture of a single pixel, or one that is seen through, is read', () => {
    const one = lightMapOf(Uint8Array.of(100, 100, 100), { widthPx: 1, heightPx: 1, channels: 3 });
    expect(extremesIn(one, whole)).toEqual({ lightest: 100, darkest: 100 });
    const clear = lightMapOf(Uint8Array.of(0, 0, 0, 0), { widthPx: 1, heightPx: 1, channels: 4 });
    expect(extremesIn(clear, whole).lightest).toBe(255);
  });
});

describe('where words lie', () => {
  test('in a box of its own proportions, the lowest third of a picture', () => {
    expect(
      lowestPart({ width: 300, height: 300 }, { width: 100, height: 100 }, { x: 0.5, y: 0.5 }, 30),
    ).toEqual({
      ...{ left: 0, right: 1, bottom: 1 },
      top: expect.closeTo(0.7),
    });
  });

  test('a wide picture in an upright box is cut around its focus point', () => {
    const part = lowestPart({ width: 400, height: 100 }, { width: 100, height: 100 }, { x: 1, y: 0.5 }, 100);
    expect(part).toEqual({ left: 0.75, right: 1, top: 0, bottom: 1 });
  });

  test('of a picture nothing is known of, what holds over anything; of a dark one, none', () => {
    const picture = { widthPx: 1600, heightPx: 1000, focus: { x: 0.5, y: 0.5 } };
    const words = { title: 12, summary: 80, hasKicker: true };
    const anything = veilOverAnything(4.5);
    expect(openingVeils(picture, words, firstLook)).toEqual([anything, anything, anything]);
    expect(nameVeil(picture, firstLook)).toEqual(anything);
    const dark = { ...picture, light: lightMapText(flat([10, 10, 10])) };
    expect(openingVeils(dark, words, firstLook).map(({ alpha }) => alpha)).toEqual([0, 0, 0]);
    // Extra clear is a stronger veil.
    const grey = { ...picture, light: lightMapText(flat([120, 120, 120])) };
    const of = (comfort: 'AA' | 'AAA') => openingVeils(grey, words, { ...firstLook, comfort })[2]?.alpha ?? 0;
    expect(of('AAA')).toBeGreaterThan(of('AA'));
  });
});
