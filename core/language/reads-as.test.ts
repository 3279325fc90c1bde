import { describe, expect, test } from '@jest/globals';
import { allPublicWords } from '../public-words/words-for.ts';
import { readsAs } from './reads-as.ts';

/** What this program says in a language, written by hand and not for this: pieces of 200 letters. */
function pieces(words: unknown): string[] {
  const texts = (value: unknown): string[] =>
    typeof value === 'string'
      ? [value]
      : typeof value === 'object' && value !== null
        ? Object.values(value).flatMap(texts)
        : [];
  const all = texts(words)
    .filter((text) => text.length > 20)
    .join(' ');
  return Array.from({ length: Math.floor(all.length / 200) }, (_, at) => all.slice(at * 200, at * 200 + 200));
}

describe('what a text reads as', () => {
  test.each(allPublicWords.map((words) => [words.language, words] as const))(
    '%s is taken for no other language, and told from each',
    (language, words) => {
      const all = pieces(words);
      expect(all.length).toBeGreaterThan(8);
      expect(all.filter((text) => readsAs(text, language) !== null)).toEqual([]);
      for (const { language: other } of allPublicWords)
        if (other !== language) {
          const found = all.filter((text) => readsAs(text, other) === language).length;
          expect([other, found / all.length]).toEqual([other, expect.any(Number)]);
          expect(found / all.length).toBeGreaterThan(0.75);
        }
    },
  );

  test('of little, of numbers, and of a language that is not told apart nothing is said', () => {
    const german =
      'Die Uhr zeigt, wie hoch das Wasser steht. Sie hat nur einen Zeiger, und der dreht sich einmal mit jeder Flut. Gebaut ist sie aus dem Holz eines alten Bootes, das im Hafen lag.';
    expect(readsAs(german.slice(0, 100), 'en')).toBeNull();
    expect(readsAs('12.5 mm × 40 mm, '.repeat(40), 'en')).toBeNull();
    expect(readsAs(german, 'eu')).toBeNull();
    expect(readsAs(german, 'en-GB')).toBe('de');
  });
});
