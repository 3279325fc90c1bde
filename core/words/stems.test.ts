import { describe, expect, test } from '@jest/globals';
import { stemsIn } from './stems.ts';

describe('stems of words', () => {
  test('make forms of one word alike', () => {
    expect(stemsIn('Welded, welding: WELDS')).toEqual(['weld', 'weld', 'weld']);
    // Examples of M. F. Porter, An algorithm for suffix stripping (1980), from memory.
    expect(stemsIn('caresses ponies conflated hopping relational')).toEqual([
      'caress',
      'poni',
      'conflat',
      'hop',
      'relat',
    ]);
  });

  test('leave out what stands in any sentence, single letters and numbers', () => {
    expect(stemsIn('The gears of the clock, in 745 minutes, a b c')).toEqual(['gear', 'clock', 'minut']);
    expect(stemsIn('')).toEqual([]);
  });
});
