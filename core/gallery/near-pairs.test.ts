import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { nearPairs } from './near-pairs.ts';

test('finds just the pairs that comparing each with each finds', () => {
  const point = fc.array(fc.integer({ min: -5, max: 5 }), { minLength: 3, maxLength: 3 });
  fc.assert(
    fc.property(
      fc.array(point, { maxLength: 60 }),
      fc.double({ min: 0.5, max: 6, noNaN: true }),
      (points, limit) => {
        const each = points.flatMap((a, i) =>
          points.flatMap((b, j) =>
            i < j && Math.hypot(...a.map((value, at) => value - (b[at] ?? 0))) < limit ? [`${i} ${j}`] : [],
          ),
        );
        expect(
          nearPairs(points, limit)
            .map((pair) => pair.join(' '))
            .sort(),
        ).toEqual(each.sort());
      },
    ),
    { numRuns: 300 },
  );
});

test('takes thousands of equal points without running out of stack', () => {
  const same = Array.from({ length: 3000 }, (_, at) => [at < 1500 ? 0 : 10]);
  expect(nearPairs(same, 0.5).length).toBe(2 * ((1500 * 1499) / 2));
});
