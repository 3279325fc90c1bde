import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { BreakLosses, FitEntry, FitSection, Paper } from './fit-content.ts';
import { fitLines } from './fit-lines.ts';

const breaks: BreakLosses = { split: 4, orphan: 3 };

/** One way to set everything: for each entry and line the page it stands on, or null where it stays out. */
type Plan = Map<string, number | null>;

/** Every plan there is: what may stay out does or does not, and page numbers never go back. */
function* plans(sections: readonly FitSection[], pages: number): Generator<Plan> {
  const things = sections.flatMap(({ entries }) =>
    entries.flatMap((entry) => [
      { id: entry.id, of: null as string | null, loss: entry.loss },
      ...entry.lines.map(({ id, loss }) => ({ id, of: entry.id as string | null, loss })),
    ]),
  );
  function* from(at: number, page: number, plan: Plan): Generator<Plan> {
    const thing = things[at];
    if (!thing) return void (yield new Map(plan));
    const gone = thing.of !== null && plan.get(thing.of) === null;
    if (gone || thing.loss !== null) {
      plan.set(thing.id, null);
      yield* from(at + 1, page, plan);
    }
    if (!gone)
      for (let next = page; next < pages; next++) {
        plan.set(thing.id, next);
        yield* from(at + 1, next, plan);
      }
    plan.delete(thing.id);
  }
  yield* from(0, 0, new Map());
}

/** What a plan costs, told from its definition; null where it is not allowed. */
function costOf(plan: Plan, sections: readonly FitSection[], paper: Paper): number | null {
  const used = Array.from({ length: paper.pages }, () => 0);
  let cost = 0;
  for (const section of sections) {
    let headed = false;
    for (const entry of section.entries) {
      const page = plan.get(entry.id) ?? null;
      if (page === null) {
        cost += entry.loss ?? Infinity;
        continue;
      }
      const y = used[page] ?? 0;
      used[page] =
        y + (y === 0 ? 0 : headed ? entry.gap : section.gap) + (headed ? 0 : section.heading) + entry.head;
      headed = true;
      const perPage = new Map<number, number>();
      for (const line of entry.lines) {
        const at = plan.get(line.id) ?? null;
        if (at === null) {
          cost += line.loss ?? Infinity;
          continue;
        }
        used[at] = (used[at] ?? 0) + line.height;
        perPage.set(at, (perPage.get(at) ?? 0) + 1);
      }
      const on = [...perPage.keys()].sort((a, b) => a - b);
      // The head stands with its first line, and nothing is skipped.
      if (on.length > 0 && on[0] !== page) return null;
      if (on.some((at, n) => at !== page + n)) return null;
      for (let n = 1; n < on.length; n++) {
        cost += breaks.split;
        if (perPage.get(on[n - 1] ?? -1) === 1) cost += breaks.orphan;
      }
      if (on.length > 1 && perPage.get(on.at(-1) ?? -1) === 1) cost += breaks.orphan;
    }
  }
  return used.every((height) => height <= paper.height) ? cost : null;
}

/** The least cost of all plans. */
function byBruteForce(sections: readonly FitSection[], paper: Paper): number | null {
  let least: number | null = null;
  for (const plan of plans(sections, paper.pages)) {
    const cost = costOf(plan, sections, paper);
    if (cost !== null && Number.isFinite(cost) && (least === null || cost < least)) least = cost;
  }
  return least;
}

const loss = fc.option(fc.integer({ min: 1, max: 9 }), { nil: null, freq: 4 });
const entrySpec = fc.record({
  head: fc.integer({ min: 1, max: 4 }),
  gap: fc.integer({ min: 0, max: 3 }),
  lines: fc.array(fc.record({ height: fc.integer({ min: 1, max: 4 }), loss }), { maxLength: 3 }),
  loss,
});
const small: fc.Arbitrary<FitSection[]> = fc
  .array(
    fc.record({
      heading: fc.integer({ min: 0, max: 3 }),
      gap: fc.integer({ min: 0, max: 3 }),
      entries: fc.array(entrySpec, { minLength: 1, maxLength: 2 }),
    }),
    { minLength: 1, maxLength: 2 },
  )
  .map((sections) =>
    sections.map((section, s) => ({
      ...section,
      id: `s${s}`,
      entries: section.entries.map((entry, e) => ({
        ...entry,
        id: `s${s}e${e}`,
        lines: entry.lines.map((line, l) => ({ ...line, id: `s${s}e${e}l${l}` })),
      })),
    })),
  );

const entry = (id: string, lines: number, more: Partial<FitEntry> = {}): FitEntry => ({
  ...{ id, head: 10, gap: 4, loss: null },
  lines: Array.from({ length: lines }, (_, at) => ({ id: `${id}-${at}`, height: 10, loss: null })),
  ...more,
});
const section = (id: string, entries: FitEntry[]): FitSection => ({ id, heading: 12, gap: 8, entries });

describe('fitting lines on pages', () => {
  test('loses exactly as little as the best of all ways to do it', () => {
    fc.assert(
      fc.property(
        small,
        fc.integer({ min: 4, max: 24 }),
        fc.integer({ min: 1, max: 2 }),
        (sections, height, pages) => {
          const fitted = fitLines(sections, { height, pages }, breaks);
          expect(fitted?.loss ?? null).toBe(byBruteForce(sections, { height, pages }));
        },
      ),
      { numRuns: 400 },
    );
  });

  test('tells a layout that costs what it says and holds what it says', () => {
    fc.assert(
      fc.property(small, fc.integer({ min: 4, max: 24 }), (sections, height) => {
        const paper = { height, pages: 2 };
        const fitted = fitLines(sections, paper, breaks);
        if (!fitted) return;
        const plan: Plan = new Map();
        for (const { entries } of sections)
          for (const one of entries) for (const { id } of [one, ...one.lines]) plan.set(id, null);
        fitted.pages.forEach(({ stands, left }, page) => {
          expect(left).toBeGreaterThanOrEqual(0);
          for (const id of stands) plan.set(id, page);
        });
        expect(costOf(plan, sections, paper)).toBe(fitted.loss);
      }),
      { numRuns: 400 },
    );
  });

  test('is not greedy: one line that costs more may save two that cost more together', () => {
    const line = (id: string, height: number, cost: number) => ({ id, height, loss: cost });
    const tight = [
      section('work', [
        entry('job', 0, { lines: [line('long', 30, 5), line('first', 15, 3), line('second', 15, 3)] }),
      ]),
    ];
    // By the least loss first, both short lines would go, at a loss of six.
    expect(fitLines(tight, { height: 52, pages: 1 }, breaks)).toMatchObject({ loss: 5, out: ['long'] });
  });

  test('a head never stands at the foot of a page without its lines, and a heading never without an entry', () => {
    const fitted = fitLines(
      [section('work', [entry('one', 3), entry('two', 2)])],
      { height: 70, pages: 2 },
      breaks,
    );
    expect(fitted?.pages.map(({ stands }) => stands)).toEqual([
      ['one', 'one-0', 'one-1', 'one-2'],
      ['two', 'two-0', 'two-1'],
    ]);
    const optional = [section('work', [entry('one', 2)]), section('rest', [entry('gone', 1, { loss: 1 })])];
    const left = fitLines(optional, { height: 44, pages: 1 }, breaks);
    expect(left).toMatchObject({ out: ['gone'], loss: 1 });
    // Nothing of the heading of what went is left.
    expect(left?.pages[0]?.left).toBe(44 - 12 - 10 - 20);
  });

  test('where what must stay does not fit, says so', () => {
    expect(fitLines([section('work', [entry('one', 9)])], { height: 60, pages: 1 }, breaks)).toBeNull();
    expect(fitLines([], { height: 60, pages: 1 }, breaks)).toEqual({
      loss: 0,
      out: [],
      pages: [{ stands: [], left: 60 }],
    });
  });
});
