import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { breakIntoRows, costOfRows, type Row, type RowFrame } from './rows.ts';
import { frames, rowShares } from './row-shares.ts';

const ratios = (most: number) =>
  fc.array(fc.double({ min: 0.36, max: 3.9, noNaN: true }), { minLength: 1, maxLength: most });
const frame: RowFrame = { widthPx: 1000, gapPx: 10, targetPx: 300, mostPx: 600 };

/** Every way of breaking n pictures into rows: the independent oracle for the least total cost. */
function everyBreaking(n: number): Row[][] {
  const ways: Row[][] = [];
  for (let mask = 0; mask < 2 ** (n - 1); mask++) {
    const rows: Row[] = [];
    let from = 0;
    for (let at = 1; at <= n; at++)
      if (at === n || mask & (1 << (at - 1))) {
        rows.push({ from, to: at, heightPx: 0 });
        from = at;
      }
    ways.push(rows);
  }
  return ways;
}

describe('breakIntoRows', () => {
  test('shows every picture once and in order', () => {
    fc.assert(
      fc.property(ratios(60), (list) => {
        const rows = breakIntoRows(list, frame);
        expect(rows[0]?.from).toBe(0);
        expect(rows.at(-1)?.to).toBe(list.length);
        rows.slice(1).forEach((row, at) => expect(row.from).toBe(rows[at]?.to));
      }),
    );
  });

  test('fills each row to the pixel or holds it at the greatest height', () => {
    fc.assert(
      fc.property(ratios(40), (list) => {
        for (const row of breakIntoRows(list, frame)) {
          const inRow = list.slice(row.from, row.to);
          const width =
            inRow.reduce((sum, ratio) => sum + ratio * row.heightPx, 0) + frame.gapPx * (inRow.length - 1);
          if (row.heightPx < frame.mostPx) expect(width).toBeCloseTo(frame.widthPx, 6);
          else expect(width).toBeLessThanOrEqual(frame.widthPx + 1e-6);
        }
      }),
    );
  });

  test('no other breaking is better (checked against all of them)', () => {
    fc.assert(
      fc.property(ratios(9), (list) => {
        const least = Math.min(...everyBreaking(list.length).map((rows) => costOfRows(list, rows, frame)));
        expect(costOfRows(list, breakIntoRows(list, frame), frame)).toBeCloseTo(least, 9);
      }),
      { numRuns: 60 },
    );
  });

  test('a worked example: four 3:2 pictures, target one third of the width, stand three and one or two and two', () => {
    const rows = breakIntoRows([1.5, 1.5, 1.5, 1.5], { widthPx: 900, gapPx: 0, targetPx: 300, mostPx: 600 });
    expect(rows.map((row) => row.to - row.from)).toEqual([2, 2]);
    expect(rows.map((row) => row.heightPx)).toEqual([300, 300]);
  });

  test('refuses what is not a ratio', () => {
    expect(() => breakIntoRows([1, 0], frame)).toThrow(RangeError);
    expect(() => breakIntoRows([Number.NaN], frame)).toThrow(RangeError);
  });
});

describe('rowShares', () => {
  test('shares of a row never exceed it and stay in proportion to the pictures', () => {
    fc.assert(
      fc.property(ratios(30), (list) => {
        const placed = rowShares(list);
        for (const name of Object.keys(frames) as (keyof typeof frames)[]) {
          for (const row of breakIntoRows(list, frames[name])) {
            const inRow = placed.slice(row.from, row.to);
            const total = inRow.reduce((sum, picture) => sum + picture.shares[name].share, 0);
            expect(total).toBeLessThanOrEqual(1 + 1e-3);
            const heights = inRow.map((picture) => picture.shares[name].share / picture.ratio);
            expect(Math.max(...heights) - Math.min(...heights)).toBeLessThan(1e-3);
            // A row ends where one of four quarters does, whatever the container is wide.
            const { gaps = 0 } = inRow[0]?.shares[name] ?? {};
            for (const [width, gap] of [
              [1160, 16],
              [812, 24],
            ] as const) {
              const filled = (width - gaps * gap) * total + (inRow.length - 1) * gap;
              const ends = [1, 2, 3, 4].map((k) => (k / 4) * (width + gap) - gap);
              expect(Math.min(...ends.map((end) => Math.abs(end - filled)))).toBeLessThan(0.6);
            }
          }
        }
      }),
    );
  });

  test('one tall picture does not fill a wide container', () => {
    expect(rowShares([0.5])[0]?.shares.wide.share).toBeLessThan(0.3);
  });
});
