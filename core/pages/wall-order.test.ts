import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { inWallOrder } from './wall-order.ts';

const ids = fc.uniqueArray(
  fc.integer({ min: 0, max: 30 }).map((n) => `page-${n}`),
  { maxLength: 12 },
);

describe('the order of the wall', () => {
  test('nothing is lost or doubled; those put in order come first and in it, the others as they were', () => {
    fc.assert(
      fc.property(ids, ids, (there, wallOrder) => {
        const work = there.map((id) => ({ id }));
        const hung = inWallOrder(work, { wallOrder }).map(({ id }) => id);
        const ordered = wallOrder.filter((id) => there.includes(id));
        expect(hung).toEqual([...ordered, ...there.filter((id) => !wallOrder.includes(id))]);
      }),
    );
  });
});
