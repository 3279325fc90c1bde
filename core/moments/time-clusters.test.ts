import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { apartMs, type Timed, timeClusters, togetherMs } from './time-clusters.ts';

const minute = 60_000;
const hour = 60 * minute;
const at = (...times: number[]): Timed[] =>
  times.map((time, n) => ({ id: `m${String(n).padStart(4, '0')}`, at: time }));
const sizes = (things: readonly Timed[]) => timeClusters(things).map(({ ids }) => ids.length);
/** So many, each a few minutes behind the last. */
const run = (from: number, many: number, step = 3 * minute): number[] =>
  Array.from({ length: many }, (_, n) => from + n * step);

describe('groups by time', () => {
  test('are what was taken together, with why one ends', () => {
    const things = at(...run(0, 6), ...run(5 * hour, 4), ...run(72 * hour, 5));
    const clusters = timeClusters(things);
    expect(clusters.map(({ ids }) => ids.length)).toEqual([6, 4, 5]);
    expect(clusters.map(({ after }) => after?.why)).toEqual([undefined, 'longer', 'long']);
    expect(clusters[1]).toMatchObject({ from: 5 * hour, to: 5 * hour + 9 * minute });
  });

  test('adapt to how densely somebody takes pictures', () => {
    // An hour is a break for who takes one a minute, and none for who takes one every half hour.
    expect(sizes(at(...run(0, 12, minute), ...run(73 * minute, 12, minute)))).toEqual([12, 12]);
    expect(sizes(at(...run(0, 8, 30 * minute), ...run(270 * minute, 8, 30 * minute)))).toEqual([16]);
  });

  test('of steady pictures end where nobody works on', () => {
    expect(sizes(at(...run(0, 5, 7 * 24 * hour)))).toEqual([1, 1, 1, 1, 1]);
    expect(sizes([])).toEqual([]);
    expect(sizes(at(5))).toEqual([1]);
    expect(sizes(at(5, 5, 5))).toEqual([3]);
  });

  // Times of two years; many of them close to each other.
  const things = fc
    .array(fc.tuple(fc.nat(730), fc.nat(24 * 60)), { maxLength: 60 })
    .map((all) => at(...all.map(([day, minutes]) => day * 24 * hour + minutes * minute)));

  test('hold each thing once and in order, and the same things give the same groups', () => {
    fc.assert(
      fc.property(things, fc.infiniteStream(fc.nat()), (all, mix) => {
        const clusters = timeClusters(all);
        expect(clusters.flatMap(({ ids }) => ids).sort()).toEqual(all.map(({ id }) => id).sort());
        for (const [n, { from, to, after }] of clusters.entries()) {
          expect(from).toBeLessThanOrEqual(to);
          const before = clusters[n - 1];
          if (before) expect(from - before.to).toBe(after?.gapMs);
          else expect(after).toBeNull();
        }
        const shuffled = all.map((one) => [mix.next().value, one] as const).sort(([a], [b]) => a - b);
        expect(timeClusters(shuffled.map(([, one]) => one))).toEqual(clusters);
      }),
    );
  });

  test('never part what lies within twenty minutes, and always what lies over a day and a half apart', () => {
    fc.assert(
      fc.property(things, (all) => {
        const of = new Map(timeClusters(all).flatMap(({ ids }, n) => ids.map((id) => [id, n] as const)));
        const sorted = [...all].sort((a, b) => a.at - b.at);
        for (const [n, one] of sorted.entries()) {
          const next = sorted[n + 1];
          if (!next) continue;
          const gap = next.at - one.at;
          if (gap <= togetherMs && gap > 0) expect(of.get(one.id)).toBe(of.get(next.id));
          if (gap > apartMs) expect(of.get(one.id)).not.toBe(of.get(next.id));
        }
      }),
    );
  });
});
