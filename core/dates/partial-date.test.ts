import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { partialDateSchema } from './partial-date.ts';
import { partialDateInWords } from './partial-date-in-words.ts';
import { readPartialDate } from './read-partial-date.ts';

describe('readPartialDate', () => {
  test.each([
    ['2025-11-13', '2025-11-13'],
    ['13 November 2025', '2025-11-13'],
    ['3 nov 2025', '2025-11-03'],
    ['November 13, 2025', '2025-11-13'],
    ['13.11.2025', '2025-11-13'],
    ['2025-11', '2025-11'],
    ['  November   2025 ', '2025-11'],
    ['Nov 2025', '2025-11'],
    ['1931', '1931'],
  ])('%s is %s', (typed, kept) => expect(readPartialDate(typed)).toBe(kept));
  test.each(['', 'yesterday', '31 February 2025', '2025-13', '29.2.2025', '25', '99999', '11/13/2025'])(
    '“%s” is no date',
    (typed) => expect(readPartialDate(typed)).toBeNull(),
  );
  test('29 February is a date in a leap year', () => expect(readPartialDate('29.2.2024')).toBe('2024-02-29'));

  test('what it writes in words it reads again, for every day', () => {
    const day = fc.date({
      min: new Date('1000-01-02T12:00:00Z'),
      max: new Date('9998-12-30T12:00:00Z'),
      noInvalidDate: true,
    });
    fc.assert(
      fc.property(day, fc.constantFrom(4, 7, 10), (date, length) => {
        const kept = date.toISOString().slice(0, length);
        expect(partialDateSchema.safeParse(kept).success).toBe(true);
        expect(readPartialDate(partialDateInWords(kept))).toBe(kept);
      }),
    );
  });
});

describe('partialDateSchema', () => {
  test.each(['2025', '2025-11', '2025-11-13', '2025-11-13T10:04:00'])('takes %s', (text) =>
    expect(partialDateSchema.safeParse(text).success).toBe(true),
  );
  test.each(['2025-02-30', '2025-13', '25', '2025-11-13T25:00:00', '2025-11-13T10:04:00Z', 'x'])(
    'refuses %s',
    (text) => expect(partialDateSchema.safeParse(text).success).toBe(false),
  );
});
