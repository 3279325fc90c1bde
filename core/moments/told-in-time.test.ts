import { expect, test } from '@jest/globals';
import { toldInTime } from './told-in-time.ts';

const told = (...dates: string[]) =>
  toldInTime(dates.map((date, n) => ({ id: `moment-${n}`, date }))).map(({ quiet, later }) => [
    quiet && `${quiet.first}/${quiet.last} ${quiet.days}`,
    later,
  ]);

test('time between moments is told in days, and quiet stretches by their own', () => {
  expect(told('2025-09-18', '2025-09-25', '2025-09-25', '2025-10-23')).toEqual([
    [null, null],
    [null, 7],
    [null, 0],
    ['2025-09-26/2025-10-22 27', 28],
  ]);
});

test('a date that is not known to the day says nothing of how many days there were', () => {
  expect(told('2025-09-18', '2025-09', '2025-10-02', '2025-W50', '2026')).toEqual([
    [null, null],
    [null, null],
    [null, null],
    ['2025-10-03/2025-12-07 66', null],
    [null, null],
  ]);
});

test('days are counted over the change of the clocks and of the year', () => {
  // In central Europe the clocks went back on 26 October 2025.
  expect(told('2025-10-25', '2025-10-27')[1]).toEqual([null, 2]);
  expect(told('2025-12-31', '2026-01-01')[1]).toEqual([null, 1]);
});
