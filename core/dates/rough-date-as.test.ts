import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { daysOfDate, precisionOf, roughDateSchema } from './rough-date.ts';
import { roughDateAs } from './rough-date-as.ts';

const all = ['day', 'week', 'month', 'season', 'year', 'between'] as const;
const days = fc
  .date({ min: new Date('1990-01-01'), max: new Date('2080-01-01'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));

test('a day told more roughly lies in what is told', () => {
  fc.assert(
    fc.property(days, fc.constantFrom(...all), (day, precision) => {
      const told = roughDateAs(precision, { first: day, last: day });
      expect(roughDateSchema.safeParse(told).success).toBe(true);
      expect(precisionOf(told)).toBe(precision);
      const { first, last } = daysOfDate(told);
      expect(first <= day && day <= last).toBe(true);
    }),
  );
});

test('January belongs to the winter of the year before', () => {
  expect(roughDateAs('season', { first: '2026-01-15', last: '2026-01-15' })).toBe('2025-24');
  expect(roughDateAs('season', { first: '2025-12-01', last: '2025-12-01' })).toBe('2025-24');
  expect(roughDateAs('week', { first: '2027-01-01', last: '2027-01-01' })).toBe('2026-W53');
});
