import { describe, expect, test } from '@jest/globals';
import { lineRemarks } from './line-remarks.ts';
import { noNumber } from './no-number.ts';
import type { LineContext } from './remark.ts';

const over: LineContext = { ended: '2025-06' };
const goesOn: LineContext = { ended: 'now' };
const kinds = (text: string, context = goesOn, language = 'en') =>
  lineRemarks(text, language, context).map(({ kind, words }) => [kind, words]);

// What makes a line weak is common practice; the lines are invented.
describe('remarks on a line', () => {
  test.each([
    ['Hard-working and a team player.', 'empty', 'Hard-working'],
    ['Excellent communication skills, shown daily.', 'empty', 'Excellent communication skills'],
    ['Responsible for the stock list.', 'weak', 'Responsible for'],
    ['Worked on the trolley.', 'weak', 'Worked on'],
    ['Six trolleys were built for masts.', 'passive', 'were built'],
    ['Sails being carefully mended each week.', 'passive', 'being carefully mended'],
    ['Mended the second-year benches.', 'stale', 'second-year'],
    ['Welded what was asked for this term.', 'passive', 'was asked'],
    ['I built the trolley.', 'not-a-verb', 'I'],
    ['The trolley for masts.', 'not-a-verb', 'The'],
  ])('%s', (text, kind, words) => expect(kinds(text)).toContainEqual([kind, words]));

  test('know what is over: words of now and verbs of now', () => {
    expect(kinds('Currently mending sails.', over)).toContainEqual(['stale', 'Currently']);
    expect(kinds('Currently mending sails.', goesOn)).toEqual([]);
    expect(kinds('Makes sails.', over)).toEqual([['tense', 'Makes']]);
    expect(kinds('Makes sails.', goesOn)).toEqual([]);
    expect(lineRemarks('Makes sails.', 'en-GB', over)[0]?.sentence).toBe(
      '“Makes” says it goes on, and it ended in June 2025.',
    );
  });

  test.each([
    'Designed and welded the trolley now used for masts.',
    'Stitching and small repairs in wood, about six a month.',
    'Made twelve bee hotels to order and sold them in two Saturdays.',
    'Sanding, varnishing, and the stock list.',
    'Opened the yard alone on winter Saturdays.',
    'Work of a summer: eleven oars.',
    'Taught red-haired beginners to splice.',
    '',
  ])('say nothing of what is well said: %s', (text) => expect(kinds(text, over)).toEqual([]));

  test('are switched off in other languages', () => {
    expect(kinds('I was responsible for the Team Player award.', goesOn, 'de')).toEqual([]);
    expect(kinds('Responsible for it.', goesOn, 'eng')).toEqual([]);
  });

  test('name words as they stand in the line', () => {
    for (const text of [
      'Was responsible for a passionate about team.',
      'The sails were mended this year by hard working folk.',
    ])
      for (const { words, sentence } of lineRemarks(text, 'en', over)) {
        expect(text).toContain(words);
        expect(sentence).toMatch(/^.*\.$/);
      }
  });
});

describe('lines without a number', () => {
  test('are remarked on together', () => {
    expect(noNumber(['Sanded oars.', 'Stitched sails.'], 'en')).toContain('How many');
    expect(noNumber(['Sanded oars.', 'Stitched six sails.'], 'en')).toBeNull();
    expect(noNumber(['Sanded oars.', 'Opened at 7.'], 'en')).toBeNull();
    expect(noNumber(['Sanded oars.', ' '], 'en')).toBeNull();
    expect(noNumber(['Ruder geschliffen.', 'Segel genäht.'], 'de')).toBeNull();
  });
});
