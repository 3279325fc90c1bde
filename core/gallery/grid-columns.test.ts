import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { gridColumns } from './grid-columns.ts';

test('an even grid leaves no emptier last row than it has to', () => {
  expect([1, 2, 3, 4, 5, 6, 7, 8, 9, 11, 12].map(gridColumns)).toEqual([1, 2, 3, 4, 3, 3, 4, 4, 3, 4, 4]);
  fc.assert(
    fc.property(fc.integer({ min: 3, max: 500 }), (count) => {
      const empty = (columns: number) => ((columns - (count % columns)) % columns) / columns;
      const chosen = gridColumns(count);
      for (const other of [3, 4]) expect(empty(chosen)).toBeLessThanOrEqual(empty(other));
    }),
  );
});
