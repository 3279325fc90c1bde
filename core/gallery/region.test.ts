import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type Handle, movedRegion, pulledRegion, regionBetween } from './region.ts';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const step = fc.double({ min: -1.5, max: 1.5, noNaN: true });
const edge = fc.constantFrom<-1 | 0 | 1>(-1, 0, 1);
const region = fc
  .tuple(share, share, share, share)
  .map(([x, y, other, below]) => regionBetween({ x, y }, { x: other, y: below }))
  .filter(({ width, height }) => width >= 0.02 && height >= 0.02);
const handle = fc
  .record({ across: edge, down: edge })
  .filter(({ across, down }) => across !== 0 || down !== 0) as fc.Arbitrary<Handle>;

const within = ({ x, y, width, height }: ReturnType<typeof regionBetween>) => {
  for (const value of [x, y, width, height]) expect(value).toBeGreaterThanOrEqual(0);
  expect(x + width).toBeLessThanOrEqual(1 + 1e-9);
  expect(y + height).toBeLessThanOrEqual(1 + 1e-9);
};

describe('a region of a picture', () => {
  test('keeps its size when it is moved, and stays inside', () => {
    fc.assert(
      fc.property(region, step, step, (one, dx, dy) => {
        const moved = movedRegion(one, dx, dy);
        within(moved);
        expect([moved.width, moved.height]).toEqual([one.width, one.height]);
      }),
    );
  });

  test('stays inside and keeps the opposite corner when it is pulled', () => {
    fc.assert(
      fc.property(region, handle, step, step, (one, by, dx, dy) => {
        const pulled = pulledRegion(one, by, dx, dy);
        within(pulled);
        if (by.across >= 0) expect(pulled.x).toBe(one.x);
        else expect(pulled.x + pulled.width).toBeCloseTo(one.x + one.width, 9);
        if (by.down >= 0) expect(pulled.y).toBe(one.y);
        else expect(pulled.y + pulled.height).toBeCloseTo(one.y + one.height, 9);
      }),
    );
  });

  test('keeps a wanted proportion however it is pulled', () => {
    fc.assert(
      fc.property(
        region,
        handle,
        step,
        step,
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        (one, by, dx, dy, ratio) => {
          const pulled = pulledRegion(one, by, dx, dy, ratio);
          within(pulled);
          expect(pulled.width).toBeCloseTo(pulled.height * ratio, 9);
        },
      ),
    );
  });
});
