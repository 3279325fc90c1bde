import { describe, expect, test } from '@jest/globals';
import edtf from 'edtf';
import fc from 'fast-check';
import { compareRoughDates, daysOfDate, precisionOf, roughDateSchema } from './rough-date.ts';

const isDate = (text: string) => roughDateSchema.safeParse(text).success;
const day = (time: number) => new Date(time).toISOString().slice(0, 10);
const days = fc
  .date({ min: new Date('1950-01-01'), max: new Date('2049-12-31'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));
const rough = days.chain((one) =>
  fc.constantFrom(
    one,
    one.slice(0, 7),
    one.slice(0, 4),
    `${one.slice(0, 4)}-2${1 + (Number(one.slice(9)) % 4)}`,
  ),
);

describe('a rough date', () => {
  // ISO 8601-1:2019 for days and weeks: 2020 had 53 weeks, and its week 53 ended on 3 January 2021.
  test.each([
    ['2025-11-13', 'day', '2025-11-13', '2025-11-13'],
    ['2025-W46', 'week', '2025-11-10', '2025-11-16'],
    ['2020-W53', 'week', '2020-12-28', '2021-01-03'],
    ['2024-02', 'month', '2024-02-01', '2024-02-29'],
    ['2025-23', 'season', '2025-09-01', '2025-11-30'],
    ['2025-24', 'season', '2025-12-01', '2026-02-28'],
    ['2025', 'year', '2025-01-01', '2025-12-31'],
    ['2025-11-02/2025-11-20', 'between', '2025-11-02', '2025-11-20'],
    ['2025-09/2025-W52', 'between', '2025-09-01', '2025-12-28'],
  ])('%s is a %s', (date, precision, first, last) => {
    expect(isDate(date)).toBe(true);
    expect(precisionOf(date)).toBe(precision);
    expect(daysOfDate(date)).toEqual({ first, last });
  });

  test.each([
    '2025-02-30',
    '2025-13',
    '2025-W54',
    '2023-W53',
    '2025-25',
    '',
    '25',
    '2025-11-20/2025-11-02',
    '2025/2026/2027',
    '/',
    '2025-11-13T10:00',
  ])('%s is none', (date) => expect(isDate(date)).toBe(false));

  test('is read as the reference reader of the extended format does (edtf.js), but for seasons, which it takes for quarters', () => {
    fc.assert(
      fc.property(rough, (date) => {
        const read = edtf(date);
        if (precisionOf(date) === 'season') return;
        expect(daysOfDate(date)).toEqual({ first: day(read.min), last: day(read.max) });
      }),
    );
    fc.assert(
      fc.property(days, days, (a, b) => {
        const date = `${a}/${b}`;
        // Its instant 0 passes for none there.
        fc.pre(a < b && a !== '1970-01-01' && b !== '1970-01-01');
        const read = edtf(date);
        expect(daysOfDate(date)).toEqual({ first: day(read.min), last: day(read.max) });
      }),
    );
  });

  test('covers all that it may mean, and is in order by where it begins', () => {
    fc.assert(
      fc.property(days, (one) => {
        for (const date of [one.slice(0, 7), one.slice(0, 4)]) {
          const { first, last } = daysOfDate(date);
          expect(first <= one && one <= last).toBe(true);
        }
      }),
    );
    fc.assert(
      fc.property(fc.array(rough), (dates) => {
        const sorted = [...dates].sort(compareRoughDates).map((date) => daysOfDate(date).first);
        expect(sorted).toEqual([...sorted].sort());
      }),
    );
    expect(() => daysOfDate('soon')).toThrow(RangeError);
  });
});
