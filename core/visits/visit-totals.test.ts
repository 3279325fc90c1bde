import { describe, expect, test } from '@jest/globals';
import { visitTotals, type VisitRow } from './visit-totals.ts';

const row = (day: string, link: string, path: string, visits: number, visitors = 1): VisitRow => ({
  ...{ day, link, path, visits, visitors },
});
const rows = [
  row('2026-02-27', '*', '*', 3, 2),
  row('2026-02-27', 'address', '', 2),
  row('2026-02-27', 'site-link', '', 1),
  row('2026-03-01', '*', '*', 6, 4),
  row('2026-03-01', 'address', 'about/', 4, 3),
  row('2026-03-01', 'pass-tutor1', '', 1),
  row('2026-03-01', 'page-clock1', '', 1),
  row('2026-03-02', 'address', '', 99),
];

describe('visits', () => {
  test('are told for each day, also where there was none, and over the end of a month', () => {
    // 2026 is no leap year (Gregorian calendar).
    expect(visitTotals(rows, '2026-02-27', '2026-03-01').byDay).toEqual([
      { day: '2026-02-27', visits: 3, visitors: 2 },
      { day: '2026-02-28', visits: 0, visitors: 0 },
      { day: '2026-03-01', visits: 6, visitors: 4 },
    ]);
  });

  test('by page count all links together, but for the link of one page, whose paths begin there', () => {
    expect(visitTotals(rows, '2026-02-27', '2026-03-01').byPage).toEqual([
      { link: 'address', path: '', visits: 4 },
      { link: 'address', path: 'about/', visits: 4 },
      { link: 'page-clock1', path: '', visits: 1 },
    ]);
  });

  test('by link say when each was opened last; what is outside the days is not told', () => {
    expect(visitTotals(rows, '2026-02-27', '2026-03-01').byLink).toEqual([
      { link: 'address', visits: 6, lastDay: '2026-03-01' },
      { link: 'site-link', visits: 1, lastDay: '2026-02-27' },
      { link: 'pass-tutor1', visits: 1, lastDay: '2026-03-01' },
      { link: 'page-clock1', visits: 1, lastDay: '2026-03-01' },
    ]);
  });

  test('of no days are none', () => {
    expect(visitTotals(rows, '2026-03-03', '2026-03-02').byDay).toEqual([]);
  });
});
