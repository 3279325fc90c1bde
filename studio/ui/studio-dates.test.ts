import { expect, test } from '@jest/globals';
import { clockTime, dayAndMonth, dayAndShortMonth, dayAndTime, shortMonth } from './studio-dates.ts';

test('dates are written one way, whatever the browser speaks', () => {
  const at = new Date(2026, 11, 8, 1, 15);
  expect(dayAndTime(at)).toBe('8 Dec 2026, 01:15');
  expect(dayAndTime(at.toISOString())).toBe('8 Dec 2026, 01:15');
  expect([clockTime(at), dayAndMonth(at), dayAndShortMonth(at), shortMonth(at)]).toEqual([
    ...['01:15', '8 December', '8 Dec', 'Dec'],
  ]);
});
