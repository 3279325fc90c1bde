import { expect, test } from '@jest/globals';
import { languageInWords } from './language-in-words.ts';

test('a language is called as the page’s own language calls it, with its level', () => {
  expect(languageInWords({ language: 'de', level: 'B1' }, 'en')).toBe('German, B1');
  expect(languageInWords({ language: 'en', level: 'first' }, 'de')).toBe('Englisch, Erstsprache');
  expect(languageInWords({ language: 'pt-BR', level: 'A2' }, 'fr')).toBe('Portugais brésilien, A2');
  // One that nobody has a name for is called by its tag.
  expect(languageInWords({ language: 'qaa', level: 'C1' }, 'en')).toBe('Qaa, C1');
  expect(languageInWords({ language: 'en', level: 'first' }, 'ja')).toBe('English, first language');
});
