import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fittedLine } from './fitted-line.ts';
import type { LineItem } from './line-item.ts';

const items = fc
  .uniqueArray(fc.tuple(fc.nat(900), fc.constantFrom(1, 1, 1, 7, 30)), { minLength: 1, maxLength: 30 })
  .map((all) =>
    all.map(([first, days], n): LineItem => ({ id: `moment-${n}`, first, last: first + days - 1 })),
  );
const labelPx = () => 60;

describe('a line that has to fit', () => {
  test('fills the room that it has and no more', () => {
    const { width, knots } = fittedLine(
      [
        { id: 'a', first: 0, last: 0 },
        { id: 'b', first: 9, last: 9 },
      ],
      { spacing: 'true', widthPx: 360, rows: 1, labelPx },
    );
    expect(width).toBeCloseTo(300, 3);
    expect(knots[1]?.x).toBeCloseTo(270, 3);
  });

  test.each(['true', 'even'] as const)(
    'of %s time keeps the order, and labels within it and apart',
    (spacing) => {
      fc.assert(
        fc.property(items, fc.constantFrom(300, 640, 1100), (all, widthPx) => {
          const { knots, labels, width } = fittedLine(all, { spacing, widthPx, rows: 2, labelPx });
          expect(width).toBeLessThanOrEqual(widthPx - 60 + 0.001);
          expect(knots).toHaveLength(all.length);
          for (const [n, { x }] of knots.entries()) expect(x).toBeGreaterThanOrEqual(knots[n - 1]?.x ?? 0);
          for (const { x } of labels) expect(x + 60).toBeLessThanOrEqual(widthPx + 0.001);
          for (const row of [0, 1]) {
            const inRow = labels.filter((label) => label.row === row);
            for (const [n, { x }] of inRow.entries())
              expect(x).toBeGreaterThanOrEqual((inRow[n - 1]?.x ?? -99) + 60);
          }
        }),
      );
    },
  );
});
