import { describe, expect, test } from '@jest/globals';
import {
  part,
  paragraph,
  plain,
  heading,
  words,
  project,
  checked,
  of,
  says,
  withWords,
} from '../sample-checked-page.ts';

describe('words', () => {
  test('with a small heading before the first large one, or a heading without words', () => {
    expect(says('headings', withWords(heading(3, 'Gears')))).toEqual([
      '“Gears” is a small heading without a large one above it.',
    ]);
    expect(says('headings', withWords(heading(2, '')))).toEqual(['A heading has no words.']);
    expect(says('headings', withWords(heading(2, 'Why'), heading(3, 'Gears')))).toEqual([]);
  });

  test('that are very hard to read in English, or a paragraph that is very long', () => {
    const hard =
      'Institutional interdisciplinarity necessitates epistemological reconfiguration notwithstanding organisational heterogeneity. '.repeat(
        8,
      );
    const page = (text: string, language: 'en' | 'de') =>
      checked(project({ parts: [words(paragraph(plain(text)))], language }));
    expect(says('hard-words', page(hard, 'en'))).toEqual(['These words are very hard to read.']);
    expect(says('hard-words', page(hard, 'de'))).toEqual([]);
    expect(says('hard-words', page('The cat sat on the mat. '.repeat(26), 'en'))).toEqual([
      'A paragraph is 156 words long.',
    ]);
    expect(says('hard-words', page('The cat sat on the mat. '.repeat(25), 'en'))).toEqual([]);
  });

  test('that were meant to be replaced', () => {
    expect(says('left-over', withWords(paragraph(plain('More is coming soon.'))))).toEqual([
      'It says “coming soon”.',
    ]);
    expect(says('left-over', checked(project({ summary: 'TODO' })))).toEqual(['It says “TODO”.']);
    // In a part of any kind.
    const contact = part('contact', { words: 'Lorem ipsum.' });
    expect(of('left-over', checked(project({ parts: [contact] as never })))).toMatchObject([
      { part: 'contact-1' },
    ]);
    expect(says('left-over', withWords(paragraph(plain('Todo el día, soon.'))))).toEqual([]);
  });
});

describe('plans for a year that has passed', () => {
  const told = (text: string, language: string | null = null) =>
    says('stale', checked(project({ language, parts: [words(paragraph(plain(text)))] })));
  test.each([
    ['It will be shown at the quay in June 2025.', 'en'],
    ['Ich werde 2025 fertig.', 'de'],
    ['La suite est prévue pour 2024.', 'fr'],
    ['Será publicado en 2025.', 'es'],
  ])('are asked about: %s', (text, language) => {
    expect(told(text, language)).toEqual([
      `“${text}” speaks of ${/20\d\d/.exec(text)?.[0]} as if it were to come.`,
    ]);
  });
  test.each([
    'It will be shown at the quay in June 2027.',
    'Between 2024 and 2026 it will have run for two years.',
    'It was shown in 2024. The next one will be better.',
    'It will take 2000 × 1200 mm of wood.',
    'Shown from 2023–2025, and it will not be again.',
  ])('and not: %s', (text) => {
    expect(told(text)).toEqual([]);
  });
  test('in a language without words for it nothing is said', () => {
    expect(told('Komt uit in 2025, will.', 'nl')).toEqual([]);
  });
});

describe('words in another language than their page', () => {
  const german =
    'Die Uhr zeigt, wie hoch das Wasser steht. Sie hat nur einen Zeiger, und der dreht sich einmal mit jeder Flut. Gebaut ist sie aus dem Holz eines alten Bootes, das im Hafen lag.';
  const english =
    'The clock shows how high the water stands. It has one hand only, which turns once with every tide. It is built of the wood of an old boat that lay in the harbour for years.';
  const told = (texts: readonly string[], language: string | null) => {
    const parts = texts.map((text, at) => ({ ...words(paragraph(plain(text))), id: `words-${at}` }));
    return of('language', checked(project({ language, parts })));
  };

  test('are told where they stand, in both directions', () => {
    expect(told([english, german], null)).toMatchObject([
      { part: 'words-1', weight: 'nice', says: 'These words read as German; the page is in English.' },
    ]);
    expect(told([english, german], 'de')).toMatchObject([{ part: 'words-0' }]);
  });

  test('once of a page that is all in one, with where that is mended', () => {
    expect(told([german, german], 'en')).toMatchObject([
      {
        part: null,
        says: 'This page reads as German, and says of itself that it is in English.',
        why: expect.stringContaining('in Arrange'),
      },
    ]);
    expect(told([german, german], 'de')).toEqual([]);
  });

  test('and not of what somebody else said, nor of a few words', () => {
    const quote = part('quote', { text: german });
    expect(says('language', checked(project({ parts: [quote, words(paragraph(plain(english)))] })))).toEqual(
      [],
    );
    expect(told(['Gezeiten, Ebbe und Flut.', english], null)).toEqual([]);
  });
});
