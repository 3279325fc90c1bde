import { expect, test } from '@jest/globals';
import { widthInLetters } from './width-in-letters.ts';

test('a square sign is as wide as two letters, and one beyond the first plane is one sign', () => {
  expect(widthInLetters('')).toBe(0);
  expect(widthInLetters('Tide clock')).toBe(10);
  expect(widthInLetters('潮時計')).toBe(6);
  expect(widthInLetters('한글 a')).toBe(6);
  expect(widthInLetters('\u{20000}')).toBe(2);
});
