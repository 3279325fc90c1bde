import { describe, expect, test } from '@jest/globals';
import { blurEffect, type GreyPicture } from './blur-effect.ts';

const drawn = (widthPx: number, heightPx: number, at: (x: number, y: number) => number): GreyPicture => ({
  widthPx,
  heightPx,
  pixels: Uint8Array.from({ length: widthPx * heightPx }, (_, n) => at(n % widthPx, Math.floor(n / widthPx))),
});
const pictures = {
  checks: drawn(48, 40, (x, y) => (((x >> 3) + (y >> 3)) % 2 ? 220 : 30)),
  waves: drawn(48, 40, (x, y) => Math.round(128 + 90 * Math.sin(x / 5) * Math.cos(y / 7))),
  noise: drawn(48, 40, (x, y) => (x * 73 + y * 151 + x * y * 7) % 256),
};

describe('blurEffect', () => {
  // skimage.measure.blur_effect of scikit-image 0.19.3 (Debian's python3-skimage) on the same arrays.
  test.each([
    ['checks', 0.181818],
    ['waves', 0.861309],
    ['noise', 0.121097],
  ] as const)('of %s is what scikit-image says', (name, wanted) =>
    expect(blurEffect(pictures[name]).whole).toBeCloseTo(wanted, 4),
  );

  test('a sharp thing before a soft background is sharp', () => {
    const soft = drawn(96, 96, (x, y) =>
      x < 24 && y < 24
        ? ((x >> 2) + (y >> 2)) % 2
          ? 220
          : 30
        : Math.round(128 + 60 * Math.sin((x + y) / 15)),
    );
    const { whole, sharpestTile } = blurEffect(soft);
    expect(sharpestTile).toBeLessThan(0.4);
    expect(whole).toBeGreaterThan(sharpestTile);
  });

  test('a picture of nothing has no edge to be sharp', () =>
    expect(blurEffect(drawn(32, 32, () => 90))).toEqual({ whole: 1, sharpestTile: 1 }));
});
