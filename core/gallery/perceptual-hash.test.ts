import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  hashDistance,
  hashSidePx,
  lightShape,
  lowFrequencies,
  nearHashes,
  perceptualHash,
} from './perceptual-hash.ts';

const square = (at: (x: number, y: number) => number): Uint8Array =>
  Uint8Array.from({ length: hashSidePx ** 2 }, (_, n) => at(n % hashSidePx, Math.floor(n / hashSidePx)));
const random = fc.uint8Array({ minLength: hashSidePx ** 2, maxLength: hashSidePx ** 2 });
const length = (values: readonly number[]) => Math.hypot(...values);

describe('lowFrequencies', () => {
  test('a wave of the transform itself has one term: N² / 4, and all others none', () => {
    // Orthogonality of the DCT-II (N. Ahmed, T. Natarajan, K. R. Rao, "Discrete cosine transform", 1974).
    const wave = (k: number, n: number) => Math.cos((Math.PI * k * (2 * n + 1)) / (2 * hashSidePx));
    const flat = lowFrequencies(square(() => 100));
    const exact = lowFrequencies(square((x, y) => 100 + Math.round(100 * wave(3, y) * wave(2, x))));
    const terms = exact.map((term, at) => term - (flat[at] ?? 0));
    expect(Math.abs((terms[3 * 9 + 2] ?? 0) / ((100 * hashSidePx ** 2) / 4) - 1)).toBeLessThan(0.01);
    terms.forEach((term, at) => {
      if (at !== 3 * 9 + 2) expect(Math.abs(term)).toBeLessThan(200);
    });
  });
  test('the first term is the sum of all pixels', () => {
    fc.assert(
      fc.property(random, (pixels) => {
        expect(lowFrequencies(pixels)[0]).toBeCloseTo(
          pixels.reduce((a, b) => a + b, 0),
          3,
        );
      }),
    );
  });
});

describe('perceptualHash', () => {
  test('does not change when a picture is made brighter or of less contrast', () => {
    fc.assert(
      fc.property(random, fc.integer({ min: 0, max: 100 }), (pixels, by) => {
        const dim = pixels.map((value) => (value >> 2) * 2);
        expect(perceptualHash(dim.map((value) => value + by))).toBe(perceptualHash(dim));
      }),
    );
  });
  test('of a negative has every bit turned, up to ties', () => {
    fc.assert(
      fc.property(random, (pixels) => {
        const apart = hashDistance(
          perceptualHash(pixels),
          perceptualHash(pixels.map((value) => 255 - value)),
        );
        expect(apart).toBeGreaterThanOrEqual(62);
      }),
    );
  });
});

describe('hashDistance', () => {
  const hash = fc.bigInt({ min: 0n, max: 2n ** 64n - 1n });
  const text = (value: bigint) => value.toString(16).padStart(16, '0');
  test('is the number of ones in the bitwise difference', () => {
    fc.assert(
      fc.property(hash, hash, (a, b) => {
        const ones = (a ^ b).toString(2).replaceAll('0', '').length;
        expect(hashDistance(text(a), text(b))).toBe(ones);
      }),
    );
  });
});

describe('nearHashes', () => {
  test('are just the pairs whose distance is within the limit', () => {
    const hashes = fc.array(
      fc.bigInt({ min: 0n, max: 2n ** 64n - 1n }).map((value) => value.toString(16).padStart(16, '0')),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(hashes, fc.integer({ min: 0, max: 64 }), (list, within) => {
        const wanted = list.flatMap((a, i) =>
          list.flatMap((b, j) => (i < j && hashDistance(a, b) <= within ? [[i, j]] : [])),
        );
        expect(nearHashes(list, within)).toEqual(wanted);
      }),
    );
  });
});

describe('lightShape', () => {
  test('has length 1, knows no brightness, and none for a picture of nothing', () => {
    fc.assert(
      fc.property(random, (pixels) => {
        const dim = pixels.map((value) => value >> 1);
        expect(length(lightShape(pixels))).toBeCloseTo(1, 6);
        const [a, b] = [lightShape(dim), lightShape(dim.map((value) => value + 90))];
        expect(length(a.map((term, at) => term - (b[at] ?? 0)))).toBeLessThan(1e-6);
      }),
    );
    expect(length(lightShape(square(() => 40)))).toBeLessThan(1e-6);
  });
});
