import { describe, expect, test } from '@jest/globals';
import { isCalled } from './is-called.ts';
import { peopleIn } from './people-in.ts';

const often = ['juno', 'odd', 'anna', 'jean', 'rose', 'maria'];
const seldom = ['brave', 'kite'];
const called = (word: string) => (often.includes(word) ? 'often' : seldom.includes(word) ? 'seldom' : null);
const people = (...texts: string[]) => peopleIn(texts, called);

describe('whole names of people', () => {
  test.each([
    ['The frame was welded by Juno Pell.', 'Juno Pell'],
    ['Juno Pell’s idea', 'Juno Pell'],
    ['with Anna-Lena Vogt-Hansen, second year', 'Anna-Lena Vogt-Hansen'],
    ['Mit Anna van der Meer gebaut', 'Anna van der Meer'],
    ['Juno M. Pell', 'Juno M. Pell'],
    ['Jean-Luc O’Neil', 'Jean-Luc O’Neil'],
    ['Maria de los Santos Vega', 'Maria de los Santos'],
    ['ANNA said: Anna Lind did', 'Anna Lind'],
  ])('%s', (text, name) => {
    expect(people(text)).toEqual([name]);
  });

  test.each([
    'Juno cut it, Pell sanded it.',
    'Thanks to Juno. Pell is a lake.',
    'Juno\nPell',
    'In Juno Street, at the Anna School',
    'in der Anna Lindstraße',
    'a Juno Trailer, the Odd Lamp',
    'my Juno 2000',
    'juno pell',
    'The Kite Wall of ours',
    'A Brave New World, my Brave Little Tailor',
    'Rose Madder on paper',
  ])('and not: %s', (text) => {
    expect(people(text)).toEqual([]);
  });

  test('who is called so seldom is one where the words around are small', () => {
    expect(people('It was cut by Brave Marten in two days.')).toEqual(['Brave Marten']);
    expect(people('Cut By Brave Marten In Two Days')).toEqual([]);
    expect(people('Nice. With Brave Marten, in two days.')).toEqual(['Brave Marten']);
    expect(people('Call Brave Marten on Monday.')).toEqual(['Brave Marten']);
    expect(people('With Brave Marten In Town')).toEqual([]);
    expect(people('Old Brave Marten')).toEqual([]);
  });

  test('what is written small anywhere is a word, and so no name', () => {
    expect(people('Odd Lamp, Odd Marten')).toEqual(['Odd Lamp', 'Odd Marten']);
    expect(people('Odd Lamp', 'It looks odd at night.')).toEqual([]);
  });

  test('once each', () => {
    expect(people('Juno Pell', 'Juno Pell and Juno Pell')).toEqual(['Juno Pell']);
  });
});

test('a name is another one with less in it', () => {
  expect(isCalled('Ida Holm', 'Ida Marie Holm')).toBe(true);
  expect(isCalled('Ida Marie Holm', 'ida holm')).toBe(true);
  expect(isCalled('Ida Berg', 'Ida Holm')).toBe(false);
  expect(isCalled('Ida Holm', '')).toBe(false);
});
