import { expect, test } from '@jest/globals';
import { shortened } from './shortened.ts';

test('long words are cut at a word, and only when they have to be', () => {
  expect(shortened('one two three', 13)).toBe('one two three');
  expect(shortened('one two three', 12)).toBe('one two…');
  expect(shortened('x'.repeat(20), 10)).toBe(`${'x'.repeat(9)}…`);
});
