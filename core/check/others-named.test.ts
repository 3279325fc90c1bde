import { describe, expect, test } from '@jest/globals';
import type { Material } from '../materials/material.ts';
import { sampleSound } from '../materials/sample-sound.ts';
import type { ShownPage } from '../pages/page.ts';
import { samplePage as page } from '../pages/sample-page.ts';
import { newPart } from '../parts/new-part.ts';
import { fromParagraphs } from '../words/rich-text.ts';
import { Checker } from './checker.ts';
import { findingsOfSite } from './findings-of-site.ts';
import { nothingGivenOut } from './given-out.ts';

const words = (id: string, text: string) => ({ ...newPart('words', id), text: fromParagraphs(text) });
const says = (id: string, ...texts: string[]): ShownPage =>
  page(id, 'project', {
    title: `Page ${id}`,
    parts: texts.map((text, at) => words(`${id}-part-${at}`, text)),
  });
const found = (people: string[], pages: ShownPage[], guessed: string[] = [], materials: Material[] = []) =>
  [
    ...findingsOfSite({
      ...{
        language: 'en',
        underAge: false,
        today: '2026-11-30',
        givenOut: nothingGivenOut,
        inside: {},
        people: [
          ...people.map((name) => ({ name, isKnown: true })),
          ...guessed.map((name) => ({ name, isKnown: false })),
        ],
      },
      ...{ materials: new Map(materials.map((one) => [one.id, one])), offWall: [], address: null, pages },
      ...{ quickLinks: [], answers: new Map() },
    }).values(),
  ]
    .flat()
    .filter(({ rule }) => rule === 'named');
const names = (people: string[], text: string) => found(people, [says('one', text)]).map((one) => one.says);

describe('people whom the maker keeps in groups', () => {
  test('are asked about where they are named, at the part, as a question', () => {
    expect(found(['Juno Pell'], [says('one', 'By me.', 'Juno Pell cut it.')])).toMatchObject([
      { weight: 'nice', page: 'one', part: 'one-part-1', says: 'Juno Pell is named on Page one.' },
    ]);
  });

  test('once each, however often and on however many pages', () => {
    const pages = [
      says('two', 'Juno Pell.'),
      says('one', 'Juno Pell, and Juno Pell.'),
      says('three', 'Juno Pell'),
    ];
    expect(found(['Juno Pell', 'Juno Pell '], pages).map((one) => one.says)).toEqual([
      'Juno Pell is named on Page one and 2 more pages.',
    ]);
  });

  test('and what was said of it counts wherever it stands then', () => {
    const of = (pages: ShownPage[], people = ['Juno Pell', 'Odd Marten']) =>
      found(people, pages).map(({ key, of: about }) => `${key} ${about}`);
    const [before] = of([says('two', 'Juno Pell.')]);
    expect(of([says('one', 'Odd Marten, Juno Pell.'), says('two', 'Juno Pell.')])).toContain(before);
    expect(of([says('one', 'Odd Marten.')])).not.toContain(before);
  });

  test('by whole words, as they are written', () => {
    const known = ['Ann', 'Mark', 'O’Neil', 'Anna-Lena Vogt', 'Łuk'];
    expect(names(known, 'Annual marks; a mark, and Annabel.')).toEqual([]);
    expect(names(known, 'Ann’s plan.')).toHaveLength(1);
    expect(names(known, '(Mark)')).toHaveLength(1);
    expect(names(known, 'O’Neil and Anna-Lena Vogt')).toHaveLength(2);
    expect(names(known, 'Anna-Lena walked')).toEqual([]);
    expect(names(known, 'Łuk')).toHaveLength(1);
    // Written with another sign for the same letter (Unicode Standard Annex 15).
    expect(names(['Ine\u0301s'], 'In\u00e9s')).toHaveLength(1);
  });

  test('but not by so few letters that it may be any word, and not where nobody is known', () => {
    expect(names(['Jo', '  ', '?'], 'Jo said so. ?')).toEqual([]);
    expect(names([], 'Juno Pell')).toEqual([]);
  });

  test('those who are only guessed are asked about as a guess, once, and known ones as known', () => {
    const page = says('one', 'Juno Pell and Odd Marten.');
    expect(found(['Juno Pell'], [page], ['Odd Marten', 'Juno Pell']).map((one) => one.says)).toEqual([
      'Juno Pell is named on Page one.',
      '“Odd Marten”, on Page one, looks like somebody’s name.',
    ]);
    // Whether they were guessed or known: what was said of them counts.
    const of = (...all: Parameters<typeof found>) =>
      found(...all).map(({ key, of: about }) => `${key} ${about}`);
    expect(of([], [page], ['Odd Marten'])).toEqual(of(['Odd Marten'], [page]));
  });

  test('in what is said of a picture, and in the name of a document’s file', () => {
    const page = says('one', 'By me.');
    const shown: ShownPage = { ...page, parts: [newPart('gallery', 'gallery-1', ['tide', 'notes'])] };
    const tide: Material = { ...sampleSound('tide'), title: 'Tide', alt: 'Juno Pell at the saw' };
    const notes: Material = {
      ...sampleSound('notes'),
      ...{ title: 'Notes', fileName: 'Odd Marten notes.pdf', kind: 'document' },
      facts: { format: 'pdf', pages: [], words: 9 },
    };
    expect(found(['Juno Pell', 'Odd Marten'], [shown], [], [tide, notes])).toMatchObject([
      {
        part: 'gallery-1',
        material: 'tide',
        says: 'Juno Pell is named in what is said of “Tide” on Page one.',
      },
      { part: 'gallery-1', material: 'notes' },
    ]);
    // What its own file is called is not handed on with a sound.
    expect(found(['Odd Marten'], [shown], [], [{ ...tide, fileName: 'Odd Marten.m4a' }])).toEqual([]);
  });

  test('also once a page changes, and no more once they are known no more', () => {
    const checker = new Checker();
    const of = (changed: Parameters<Checker['take']>[0]) =>
      [...checker.take(changed).values()].flatMap((all) => all ?? []).filter(({ rule }) => rule === 'named')
        .length;
    expect(
      of({
        pages: [says('one', 'By me.')],
        people: [{ name: 'Juno Pell', isKnown: true }],
        today: '2026-11-30',
      }),
    ).toBe(0);
    expect(of({ pages: [says('one', 'With Juno Pell.')] })).toBe(1);
    checker.take({ people: [] });
    expect(of({ pages: [says('one', 'With Juno Pell.')] })).toBe(0);
  });
});
