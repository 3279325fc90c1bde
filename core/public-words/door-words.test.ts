import { expect, test } from '@jest/globals';
import { doorWords } from './door-words.ts';
import { allPublicWords } from './words-for.ts';

test.each([
  ['', 'en'],
  ['de', 'de'],
  ['de-AT,de;q=0.9,en;q=0.8', 'de'],
  ['ja, fr;q=0.4, es;q=0.7', 'es'],
  ['fr;q=0, en;q=0.1', 'en'],
  // The example of RFC 9110, 12.5.4 (from memory): Danish, but British English and other English as well.
  ['da, en-gb;q=0.8, en;q=0.7', 'en'],
  ['*', 'en'],
  ['constructor', 'en'],
  [';;;,,q=', 'en'],
])('somebody who likes “%s” is spoken to in %s', (accepted, language) => {
  expect(doorWords(accepted).language).toBe(language);
});

test('there are words at the door in every language that pages speak', () => {
  for (const { language } of allPublicWords) {
    const words = doorWords(language);
    expect(words.language).toBe(language);
    for (const word of Object.values(words)) expect(word).not.toBe('');
  }
  expect(new Set(allPublicWords.map(({ language }) => doorWords(language).asks)).size).toBe(
    allPublicWords.length,
  );
});
