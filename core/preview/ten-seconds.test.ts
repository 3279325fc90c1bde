import { describe, expect, test } from '@jest/globals';
import { firstSeconds, wordCount, wordsReadIn } from './ten-seconds.ts';

describe('what is read in a time', () => {
  test('is what readers get through in a minute, and its share', () => {
    expect(wordsReadIn(60)).toBe(238);
    expect(wordsReadIn(firstSeconds)).toBe(39);
    expect(wordsReadIn(0)).toBe(0);
  });

  test.each([
    ['One hand for the tide, and one for me.', 'en', 9],
    ['', 'en', 0],
    ['— … —', 'en', 0],
    ['L’horloge de marée', 'fr', 3],
    // Words that no space separates.
    ['潮の時計', 'ja', 3],
  ])('“%s” is counted as its language has words', (text, language, words) => {
    expect(wordCount(text, language)).toBe(words);
  });
});
