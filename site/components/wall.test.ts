import { expect, test } from '@jest/globals';
import { largeFirst } from './wall.tsx';

test('one large with small ones around it leaves no cell empty, however many there are', () => {
  for (let count = 1; count <= 40; count++) {
    const places = largeFirst(count);
    expect(places).toHaveLength(count);
    const cells = places.reduce((sum, { columns, rows }) => sum + columns * rows, 0);
    expect([count, cells % 3]).toEqual([count, 0]);
    // The first is the largest, and stands in the first two rows.
    for (const { columns, rows } of places.slice(1)) expect(columns * rows).toBeLessThan(6);
    expect((places[0]?.columns ?? 0) * (places[0]?.rows ?? 0)).toBeGreaterThanOrEqual(4);
  }
  expect(largeFirst(0)).toEqual([]);
});
