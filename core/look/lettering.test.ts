import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { atMostLines, linesOf } from './lettering.ts';

/** Every letter as wide as it is high. */
const square = { widthOf: (words: string) => [...words].length };
const words = fc
  .array(fc.stringMatching(/^[a-zß]{1,24}$/), { minLength: 1, maxLength: 14 })
  .map((all) => all.join(' '));

describe('lines of some words', () => {
  test('no line is wider than asked, and no word is lost or broken that has room', () => {
    fc.assert(
      fc.property(words, fc.integer({ min: 2, max: 30 }), (text, width) => {
        const lines = linesOf(text, square, width);
        for (const line of lines) expect(square.widthOf(line)).toBeLessThanOrEqual(width);
        expect(lines.join(' ').replaceAll('- ', '').replaceAll(' ', '')).toBe(text.replaceAll(' ', ''));
        for (const word of text.split(' '))
          if (word.length <= width) expect(lines.some((line) => line.split(' ').includes(word))).toBe(true);
      }),
    );
  });

  test('each takes as much as it can: a word goes on the next one only where it does not fit', () => {
    expect(linesOf('one two three', square, 7)).toEqual(['one two', 'three']);
    expect(linesOf('one two three', square, 6)).toEqual(['one', 'two', 'three']);
    expect(linesOf('Kapitänsmütze', square, 8)).toEqual(['Kapitän-', 'smütze']);
    expect(linesOf('  ', square, 8)).toEqual([]);
  });

  test('what is too much is cut where it is seen, and fits with its dots', () => {
    expect(atMostLines(['one', 'two', 'three'], 3, square, 6)).toEqual(['one', 'two', 'three']);
    expect(atMostLines(['one', 'twelve', 'three'], 2, square, 6)).toEqual(['one', 'twelv…']);
    expect(atMostLines(['one', 'two', 'three'], 2, square, 6)).toEqual(['one', 'two…']);
  });
});
