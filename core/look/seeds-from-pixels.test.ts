import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { oklchOf } from './colour.ts';
import { hexSchema } from './look.ts';
import { seedsFromPixels } from './seeds-from-pixels.ts';

const filled = (...parts: [hex: string, count: number][]) =>
  parts.flatMap(([hex, count]) =>
    Array.from({ length: count }, () =>
      [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)).concat(255),
    ).flat(),
  );
const hueApart = (one: string, other: string) =>
  Math.abs(((oklchOf(one).h - oklchOf(other).h + 540) % 360) - 180);

describe('seeds from a picture', () => {
  test('a red sail on a grey sea is red, and the sky comes second', () => {
    const { first, second } = seedsFromPixels(filled(['#8a8f92', 900], ['#c4302b', 40], ['#7fa8cf', 60]));
    expect(hueApart(first, '#c4302b')).toBeLessThan(12);
    expect(hueApart(second ?? '#000000', '#7fa8cf')).toBeLessThan(20);
  });

  test('one hue gives one seed', () => {
    expect(seedsFromPixels(filled(['#2f6b4f', 50], ['#3d7f5f', 50])).second).toBeNull();
  });

  test('a picture without colour gives its grey', () => {
    const { first, second } = seedsFromPixels(filled(['#777777', 10], ['#999999', 10]));
    expect(oklchOf(first).c).toBeLessThan(0.02);
    expect(second).toBeNull();
  });

  test('whatever the pixels are, seeds are colours, and the same ones each time', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 4000 }), (pixels) => {
        const seeds = seedsFromPixels(pixels);
        expect(hexSchema.safeParse(seeds.first).success).toBe(true);
        expect(seedsFromPixels(pixels)).toEqual(seeds);
      }),
    );
  });
});
