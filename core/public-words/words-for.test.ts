import { describe, expect, test } from '@jest/globals';
import { allPublicWords, hasWords, wordsFor } from './words-for.ts';
import type { PublicWords } from './public-words.ts';

const said = (words: PublicWords): [string, string][] =>
  Object.entries(words).map(([name, value]: [string, unknown]) => [
    name,
    typeof value === 'function'
      ? String((value as (...of: unknown[]) => string)('Ada', 'Bo'))
      : Array.isArray(value)
        ? value.join('')
        : typeof value === 'object' && value !== null
          ? JSON.stringify(Object.values(value))
          : String(value),
  ]);

describe('the words of public pages', () => {
  test.each(allPublicWords.map((words) => [words.language, words] as const))(
    'in %s say everything',
    (_, words) => {
      for (const [name, value] of said(words)) expect([name, value.trim()]).not.toEqual([name, '']);
      // Nothing is left in English by mistake; words that are the same in both are named here.
      const same = new Set([
        'menu',
        'site',
        'links',
        'contact',
        'table',
        'document',
        'zoom',
        'ofYear',
        'total',
        'with',
        'pages',
        'clip',
        'dates',
        'language',
        'licence',
        'slides',
        'of',
        'pictures',
      ]);
      const english = new Map(said(wordsFor('en')));
      if (words.language !== 'en')
        for (const [name, value] of said(words))
          if (!same.has(name)) expect([name, value]).not.toEqual([name, english.get(name)]);
      expect(words.of).toMatch(/1.*4/);
    },
  );

  test('are those of the language, else English ones', () => {
    expect(wordsFor('de-AT').language).toBe('de');
    expect(wordsFor('ja').language).toBe('en');
    expect([hasWords('fr-CA'), hasWords('ar'), hasWords('en-US')]).toEqual([true, false, true]);
  });
});
