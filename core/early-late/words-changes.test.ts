import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { wordsChanges } from './words-changes.ts';

const without = (change: string, runs: ReturnType<typeof wordsChanges>) =>
  runs
    .filter((run) => run.change !== change)
    .map(({ text }) => text)
    .join('');

describe('wordsChanges', () => {
  test('names the words that went and those that came', () => {
    expect(wordsChanges('The hand follows the moon.', 'The hand follows the sea, not the moon.')).toEqual([
      { text: 'The hand follows the ', change: 'same' },
      { text: 'sea, not the ', change: 'new' },
      { text: 'moon.', change: 'same' },
    ]);
  });

  test('the same words have no change, and nothing has none either', () => {
    expect(wordsChanges('As it is.', 'As it is.')).toEqual([{ text: 'As it is.', change: 'same' }]);
    expect(wordsChanges('', '')).toEqual([]);
  });

  test('both texts can be read out of it, whatever they are', () => {
    const text = fc.oneof(
      fc.string({ unit: 'grapheme', maxLength: 300 }),
      fc
        .array(fc.constantFrom('tide', 'clock', 'moon', '.', '\n\n', 'Größe', '潮'), { maxLength: 60 })
        .map((all) => all.join(' ')),
    );
    fc.assert(
      fc.property(text, text, (was, now) => {
        const runs = wordsChanges(was, now);
        expect(without('new', runs)).toBe(was);
        expect(without('gone', runs)).toBe(now);
      }),
    );
  });

  test('texts that have nothing in common end, too', () => {
    const many = (word: string) => Array.from({ length: 1300 }, (_, at) => `${word}${at}`).join(' ');
    const runs = wordsChanges(many('a'), many('b'));
    expect([without('new', runs), without('gone', runs)]).toEqual([many('a'), many('b')]);
  });
});
