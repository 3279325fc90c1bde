import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { variedPicks, worthOf } from './varied-picks.ts';

const place = fc.record({
  x: fc.double({ min: 0, max: 0.7, noNaN: true }),
  y: fc.double({ min: 0, max: 0.7, noNaN: true }),
  quality: fc.double({ min: 0.05, max: 1, noNaN: true }),
});
type Place = { x: number; y: number; quality: number };
const between = (things: readonly Place[]) => (a: number, b: number) => {
  const [one, other] = [things[a], things[b]];
  return one && other ? Math.hypot(one.x - other.x, one.y - other.y) : 0;
};

/** Every choice of some size: the oracle for small lists. */
function choices(count: number, size: number): number[][] {
  const all: number[][] = [];
  const go = (from: number, chosen: number[]) => {
    if (chosen.length === size) return void all.push(chosen);
    for (let at = from; at < count; at++) go(at + 1, [...chosen, at]);
  };
  go(0, []);
  return all;
}
const least = (chosen: readonly number[], distance: (a: number, b: number) => number) =>
  Math.min(...chosen.flatMap((a) => chosen.filter((b) => b !== a).map((b) => distance(a, b))));

describe('a varied choice', () => {
  test('has the wanted size, no thing twice, and the list’s order', () => {
    fc.assert(
      fc.property(fc.array(place, { maxLength: 14 }), fc.nat(9), (things, size) => {
        const chosen = variedPicks(things, size, between(things));
        expect(chosen).toHaveLength(Math.min(size, things.length));
        expect(chosen).toEqual([...new Set(chosen)].sort((a, b) => a - b));
      }),
    );
  });

  test('cannot be made better by changing one for another, and is near the best of all choices', () => {
    fc.assert(
      fc.property(
        fc.array(place, { minLength: 4, maxLength: 9 }),
        fc.integer({ min: 2, max: 4 }),
        (things, size) => {
          const distance = between(things);
          const chosen = variedPicks(things, size, distance);
          const worth = worthOf(chosen, things, distance);
          const best = Math.max(...choices(things.length, size).map((one) => worthOf(one, things, distance)));
          expect(worth).toBeGreaterThanOrEqual(best * 0.75 - 1e-9);
          for (let at = 0; at < chosen.length; at++)
            for (let other = 0; other < things.length; other++)
              if (!chosen.includes(other)) {
                const changed = chosen.map((one, place_) => (place_ === at ? other : one));
                expect(worthOf(changed, things, distance)).toBeLessThanOrEqual(worth + 1e-9);
              }
        },
      ),
      { numRuns: 300 },
    );
  });

  test('of equal quality it leaves no two much nearer than they need be', () => {
    // The greedy start keeps the least distance within a half of the greatest there can be (Gonzalez 1985, from
    // memory); changing one for another is for the sum, and may cost some of that.
    fc.assert(
      fc.property(fc.array(place, { minLength: 5, maxLength: 9 }), (list) => {
        const things = list.map((one) => ({ ...one, quality: 1 }));
        const distance = between(things);
        const best = Math.max(...choices(things.length, 3).map((one) => least(one, distance)));
        expect(least(variedPicks(things, 3, distance), distance)).toBeGreaterThanOrEqual(best / 3 - 1e-9);
      }),
      { numRuns: 300 },
    );
  });
});
