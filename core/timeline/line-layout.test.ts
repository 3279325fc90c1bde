import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { LineItem } from './line-item.ts';
import { leastApartPx, lineLayout, type LineOptions } from './line-layout.ts';
import { foldPx } from './line-scale.ts';
import { leastQuietDays, quietStretches } from './quiet-stretches.ts';

const options = (more: Partial<LineOptions> = {}): LineOptions => ({
  ...{ spacing: 'true', px: 10, open: new Set<number>(), rows: 3, labelPx: () => 90 },
  ...more,
});
const day = (id: string, first: number, days = 1): LineItem => ({ id, first, last: first + days - 1 });

describe('the line', () => {
  test('is true: a day has one width, and a quiet stretch is folded and says its length', () => {
    const { knots, folds, width } = lineLayout([day('a', 100), day('b', 103), day('c', 203)], options());
    expect(knots.map(({ x }) => x)).toEqual([0, 30, 40 + foldPx]);
    expect(folds).toMatchObject([{ first: 104, last: 202, days: 99, x: 40, px: foldPx, open: false }]);
    expect(width).toBe(50 + foldPx);
  });

  test('opened, a stretch is as long as its days', () => {
    const items = [day('a', 100), day('b', 150)];
    const [quiet] = quietStretches(items);
    const { knots, folds } = lineLayout(items, options({ open: new Set([quiet?.key ?? 0]) }));
    expect(knots.map(({ x }) => x)).toEqual([0, 500]);
    expect(folds).toMatchObject([{ px: 490, open: true }]);
  });

  test('a rough date is a piece of string over all it may mean, and keeps no stretch from being quiet', () => {
    const year = day('year', 0, 365);
    const { knots, folds } = lineLayout([year, day('a', 20), day('b', 300)], options());
    const [first] = knots;
    expect(first).toMatchObject({ id: 'year', x: 0 });
    expect(folds).toHaveLength(1);
    expect(first?.to).toBe(lineLayout([year, day('a', 20), day('b', 300)], options()).width);
    // One that is known to its month does.
    expect(lineLayout([day('m', 21, 30), day('a', 20), day('b', 60)], options()).folds).toEqual([]);
  });

  test('evenly spaced it keeps the order and nothing else', () => {
    const { knots, folds } = lineLayout(
      [day('b', 9), day('a', 1), day('c', 900)],
      options({ spacing: 'even', px: 80 }),
    );
    expect(knots).toEqual([
      { id: 'a', x: 0, to: 0 },
      { id: 'b', x: 80, to: 80 },
      { id: 'c', x: 160, to: 160 },
    ]);
    expect(folds).toEqual([]);
  });

  test('one label can be asked for, and none stands over it', () => {
    const items = [day('a', 0), day('b', 5), day('c', 8), day('d', 18)];
    const labels = (labelled: string | null) =>
      lineLayout(items, options({ rows: 1, labelled })).labels.map(({ id }) => id);
    expect(labels(null)).toEqual(['a', 'd']);
    expect(labels('b')).toEqual(['b', 'd']);
    expect(labels('c')).toEqual(['c', 'd']);
  });

  test('of nothing is nothing', () => {
    for (const spacing of ['true', 'even'] as const)
      expect(lineLayout([], options({ spacing }))).toEqual({
        width: 0,
        knots: [],
        bundles: [],
        labels: [],
        folds: [],
      });
  });
});

const items = fc
  .array(fc.tuple(fc.nat(1500), fc.constantFrom(1, 1, 1, 7, 30, 90, 365)), { maxLength: 80 })
  .map((all) => all.map(([first, days], n) => day(`moment-${n}`, first, days)));
const anyOptions = fc
  .record(
    {
      spacing: fc.constantFrom('true' as const, 'even' as const),
      px: fc.double({ min: 0.05, max: 60, noNaN: true }),
      rows: fc.integer({ min: 1, max: 5 }),
      wide: fc.integer({ min: 20, max: 240 }),
      openAll: fc.boolean(),
    },
    { noNullPrototype: true },
  )
  .map(({ wide, openAll, ...more }) => ({ more, wide, openAll }));
const laid = (
  all: readonly LineItem[],
  { more, wide, openAll }: { more: Partial<LineOptions>; wide: number; openAll: boolean },
) =>
  lineLayout(
    all,
    options({
      ...more,
      labelPx: (id) => wide + (id.length % 7) * 9,
      open: new Set(openAll ? quietStretches(all).map(({ key }) => key) : []),
    }),
  );

describe('whatever lies on the line', () => {
  test('is in the order of time, within it, and each moment once', () => {
    fc.assert(
      fc.property(items, anyOptions, (all, how) => {
        const { knots, bundles, width } = laid(all, how);
        const first = new Map(all.map((one) => [one.id, one.first]));
        expect(knots.map(({ id }) => id).sort()).toEqual(all.map(({ id }) => id).sort());
        for (const [n, knot] of knots.entries()) {
          const next = knots[n + 1];
          expect(knot.to).toBeGreaterThanOrEqual(knot.x);
          expect(knot.x).toBeGreaterThanOrEqual(0);
          expect(knot.to).toBeLessThanOrEqual(width + 1e-6);
          if (!next) continue;
          expect(next.x).toBeGreaterThanOrEqual(knot.x);
          expect(first.get(knot.id) ?? 0).toBeLessThanOrEqual(first.get(next.id) ?? 0);
        }
        expect(bundles.flatMap(({ ids }) => ids)).toEqual(knots.map(({ id }) => id));
        for (const [n, { x }] of bundles.entries())
          if (n > 0) expect(x - (bundles[n - 1]?.x ?? 0)).toBeGreaterThanOrEqual(leastApartPx);
      }),
    );
  });

  test('no two labels touch, each stands at its knot, and they are in its order', () => {
    fc.assert(
      fc.property(items, anyOptions, (all, how) => {
        const { knots, labels } = laid(all, how);
        const xOf = new Map(knots.map(({ id, x }) => [id, x]));
        for (const [n, one] of labels.entries()) {
          expect(one.x).toBe(xOf.get(one.id));
          for (const other of labels.slice(n + 1)) {
            expect(other.x).toBeGreaterThanOrEqual(one.x);
            if (other.row === one.row) expect(other.x).toBeGreaterThan(one.x + one.width);
          }
        }
      }),
    );
  });

  test('a day is as wide in all that is not folded, and a rough date covers its span', () => {
    fc.assert(
      fc.property(items, anyOptions, (all, how) => {
        const { knots, folds } = laid(all, { ...how, more: { ...how.more, spacing: 'true' } });
        const px = how.more.px ?? 10;
        const byId = new Map(all.map((one) => [one.id, one]));
        for (const { id, x, to } of knots) {
          const one = byId.get(id);
          if (!one) continue;
          const inFolds = folds.filter(({ first, last }) => first <= one.last && last >= one.first);
          const days = one.last - one.first + 1;
          if (inFolds.every(({ open }) => open)) expect(to - x).toBeCloseTo(days * px, 4);
          else expect(to - x).toBeLessThanOrEqual(days * px + 1e-6);
          expect(to - x).toBeGreaterThan(0);
        }
      }),
    );
  });

  test('folding and unfolding gives back the same', () => {
    fc.assert(
      fc.property(items, anyOptions, (all, how) => {
        const open = laid(all, { ...how, openAll: true });
        const folded = laid(all, { ...how, openAll: false });
        expect(laid(all, { ...how, openAll: true })).toEqual(open);
        expect(folded.folds.map(({ key, days }) => [key, days])).toEqual(
          open.folds.map(({ key, days }) => [key, days]),
        );
        for (const { days, px } of folded.folds) {
          expect(days).toBeGreaterThanOrEqual(leastQuietDays);
          expect(px).toBeLessThanOrEqual(foldPx);
        }
      }),
    );
  });
});
