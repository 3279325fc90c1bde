import { describe, expect, test } from '@jest/globals';
import { dateForReaders, timeSpanForReaders } from './date-for-readers.ts';

describe('how long something took, in words', () => {
  test.each([
    ['2025-09', '2025-12', 'September to December 2025'],
    ['2025-11', '2026-03', 'November 2025 to March 2026'],
    ['2025-09', null, 'September 2025'],
    ['2025-09', '2025-09', 'September 2025'],
    ['2024', '2025', '2024 to 2025'],
    ['2024', '2025-03', '2024 to March 2025'],
    ['2026-03', 'now', 'since March 2026'],
    ['2024', 'now', 'since 2024'],
    // Only the year of the end is known, and it is the year it began in.
    ['2025-09', '2025', 'September 2025'],
    // The last before the first: the first is what can be trusted.
    ['2025-09', '2025-01', 'September 2025'],
    [null, '2025-12', 'December 2025'],
    [null, 'now', ''],
    [null, null, ''],
  ] as const)('%s to %s is "%s"', (from, to, words) =>
    expect(timeSpanForReaders(from, to, 'en')).toBe(words),
  );

  // Month names by CLDR; how a stretch is said is common practice in each language.
  test.each([
    ['de', '2025-09', '2025-12', 'September bis Dezember 2025'],
    ['de', '2026-03', 'now', 'seit März 2026'],
    ['es', '2025-09', '2025-12', 'de septiembre a diciembre de 2025'],
    ['fr', '2025-08', '2026-03', 'd’août 2025 à mars 2026'],
    ['fr-CA', '2025-09', null, 'septembre 2025'],
  ] as const)('in %s from %s to %s: %s', (language, from, to, words) =>
    expect(timeSpanForReaders(from, to, language)).toBe(words),
  );

  test('where nobody has written words, the dates stand for themselves', () => {
    expect(timeSpanForReaders('2025-09', '2025-12', 'ja')).toBe('2025/09～2025/12');
    expect(timeSpanForReaders('2026-03', 'now', 'ja')).toBe('2026年3月 –');
    expect(timeSpanForReaders('2024', '2025-03', 'he')).not.toMatch(/[a-z]/i);
  });

  test('a day is written as the language writes it', () => {
    expect(dateForReaders('2025-11-13', 'en')).toBe('13 November 2025');
    expect(dateForReaders('2025-11-13', 'de')).toBe('13. November 2025');
    expect(dateForReaders('2025-11-13', 'en-US')).toBe('November 13, 2025');
  });
});
