import { expect, test } from '@jest/globals';
import { daysForReaders } from './days-for-readers.ts';

test('days are told with both ends, one or none, in the page’s language', () => {
  expect(daysForReaders('2027-06-15', '2027-08-29', 'en')).toBe('15 June 2027 to 29 August 2027');
  expect(daysForReaders('2027-06-15', null, 'en')).toBe('from 15 June 2027');
  expect(daysForReaders(null, '2027-08-29', 'de')).toBe('bis 29. August 2027');
  expect(daysForReaders(null, '2027-08-29', 'fr')).toBe('jusqu’au 29 août 2027');
  expect(daysForReaders(null, null, 'en')).toBe('');
  // Where the last day lies before the first, the first one counts.
  expect(daysForReaders('2027-06-15', '2026-08-29', 'es')).toBe('desde el 15 de junio de 2027');
});
