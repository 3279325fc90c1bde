import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { facesIn } from './faces-in.ts';

const face = { sure: 0.9, size: 0.2, x: 0.4, y: 0.4, width: 0.1, height: 0.2 };

describe('faces a detector saw', () => {
  test('are asked about where it was sure and they are large enough to be known', () => {
    expect(facesIn([face, { ...face, sure: 0.49 }, { ...face, size: 0.029 }])).toHaveLength(1);
  });

  test('with some air around them, and within the picture', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(share, share, share, share, (x, y, width, height) => {
        const seen = { ...face, x, y, width: width * (1 - x), height: height * (1 - y) };
        const [region] = facesIn([seen]);
        if (!region) throw new Error('No face.');
        expect(region.x).toBeLessThanOrEqual(seen.x);
        expect(region.y).toBeLessThanOrEqual(seen.y);
        expect(region.x + region.width).toBeGreaterThanOrEqual(seen.x + seen.width - 1e-9);
        expect(region.y + region.height).toBeGreaterThanOrEqual(seen.y + seen.height - 1e-9);
        expect(Math.min(region.x, region.y)).toBeGreaterThanOrEqual(0);
        expect(Math.max(region.x + region.width, region.y + region.height)).toBeLessThanOrEqual(1 + 1e-9);
      }),
    );
  });
});
