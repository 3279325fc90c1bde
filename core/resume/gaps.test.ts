import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { ResumeSection } from './sections.ts';
import { gaps, overlaps } from './gaps.ts';

const now = '2026-11';
const entry = (from: string | null, to: string | null, section: ResumeSection = 'work', id = 'one') => ({
  ...{ id, section, from, to },
});

describe('gaps', () => {
  test('are months between two of them, from three on', () => {
    expect(gaps([entry('2024-01', '2024-06'), entry('2024-10', 'now')], now)).toEqual([
      { from: '2024-07', to: '2024-09', months: 3 },
    ]);
    expect(gaps([entry('2024-01', '2024-06'), entry('2024-09', 'now')], now)).toEqual([]);
  });

  test('are none where something else was, learning and helping included, and what has no time counts nothing', () => {
    const work = [entry('2022-01', '2022-06'), entry('2024-10', 'now')];
    expect(gaps([...work, entry('2022-07', '2024-09', 'education')], now)).toEqual([]);
    expect(gaps([...work, entry('2022-07', '2024-09', 'awards')], now)).toHaveLength(1);
    expect(gaps([entry(null, null), entry(null, 'now')], now)).toEqual([]);
  });

  test('are none that only years leave open', () => {
    expect(gaps([entry('2022', '2023'), entry('2024', 'now')], now)).toEqual([]);
    expect(gaps([entry('2022', null), entry('2024', 'now')], now)).toEqual([
      { from: '2023-01', to: '2023-12', months: 12 },
    ]);
  });

  test('are exactly the runs of months that no entry holds', () => {
    const month = fc.integer({ min: 0, max: 60 });
    const name = (at: number) => `${2020 + Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}`;
    fc.assert(
      fc.property(fc.array(fc.tuple(month, month), { minLength: 1, maxLength: 6 }), (pairs) => {
        const spans = pairs.map(([a, b]) => [Math.min(a, b), Math.max(a, b)] as const);
        const held = new Set(spans.flatMap(([a, b]) => Array.from({ length: b - a + 1 }, (_, at) => a + at)));
        const runs: number[][] = [];
        for (let at = Math.min(...held); at <= Math.max(...held); at++) {
          if (held.has(at)) continue;
          const last = runs.at(-1);
          if (last?.at(-1) === at - 1) last.push(at);
          else runs.push([at]);
        }
        expect(
          gaps(
            spans.map(([a, b]) => entry(name(a), name(b))),
            now,
          ),
        ).toEqual(
          runs
            .filter(({ length }) => length >= 3)
            .map((run) => ({ from: name(run[0] ?? 0), to: name(run.at(-1) ?? 0), months: run.length })),
        );
      }),
    );
  });
});

describe('overlaps', () => {
  test('are of one section, by more than a month, and not of years', () => {
    const first = entry('2024-01', '2024-06', 'work', 'first');
    expect(overlaps([entry('2024-05', 'now', 'work', 'second'), first], now)).toEqual([
      { first: 'first', second: 'second', months: 2 },
    ]);
    expect(overlaps([first, entry('2024-06', 'now', 'work', 'second')], now)).toEqual([]);
    expect(overlaps([first, entry('2024-02', 'now', 'education', 'second')], now)).toEqual([]);
    expect(overlaps([first, entry('2024', 'now', 'work', 'second')], now)).toEqual([]);
  });
});
