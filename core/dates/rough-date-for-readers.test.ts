import { describe, expect, test } from '@jest/globals';
import { roughDateForReaders } from './rough-date-for-readers.ts';

describe('a rough date in words', () => {
  test.each([
    ['2025-11-13', 'en', '13 November 2025'],
    ['2025-W46', 'en', 'week of 10 November 2025'],
    ['2025-11', 'en', 'November 2025'],
    ['2025-23', 'en', 'Autumn 2025'],
    ['2025-24', 'en', 'Winter 2025–26'],
    ['1999-24', 'en', 'Winter 1999–00'],
    ['2025', 'en', '2025'],
    ['2025-09/2025-12', 'en', 'September 2025 to December 2025'],
    ['2025-11-13/2025-11-13', 'en', '13 November 2025'],
    ['2025-W46', 'de', 'Woche vom 10. November 2025'],
    ['2025-23', 'fr', 'Automne 2025'],
    ['2025-21', 'es', 'Primavera de 2025'],
    ['2025-11-13', 'ja', '2025年11月13日'],
  ])('%s in %s', (date, language, words) => expect(roughDateForReaders(date, language)).toBe(words));

  test('is never more exact than it is known', () => {
    for (const date of ['2025-23', '2025-11', '2025'])
      for (const language of ['en', 'de', 'fr', 'es'])
        expect(roughDateForReaders(date, language)).not.toMatch(/\b\d{1,2}\b(?!–)/);
  });
});
