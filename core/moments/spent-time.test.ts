import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readSpentTime, spentTime } from './spent-time.ts';

// Signs of units: SI brochure, 9th edition, table 8 (min, h); from memory.
test.each([
  [1, '1 min'],
  [45, '45 min'],
  [60, '1 h'],
  [210, '3 h 30 min'],
])('%i minutes are told as %s', (minutes, said) => expect(spentTime(minutes)).toBe(said));

test.each([
  ['3 h 30', 210],
  ['3:30', 210],
  ['3.5 h', 210],
  ['3,5 h', 210],
  ['3h30min', 210],
  ['2 hours', 120],
  ['90', 90],
  [' 90 min ', 90],
  ['0', null],
  ['', null],
  ['soon', null],
  ['3:75', null],
  ['h', null],
])('“%s” is read as %p minutes', (typed, minutes) => expect(readSpentTime(typed)).toBe(minutes));

test('what is told can be typed', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 59_000 }), (minutes) => {
      expect(readSpentTime(spentTime(minutes))).toBe(minutes);
    }),
  );
});
