import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type Run, setRuns, type WidthOf } from './set-runs.ts';

/** As a typewriter sets: each character as wide as the size; strong ones half as wide again. */
const typed: WidthOf = (words, face) => [...words].length * (face === 'strong' ? 1.5 : 1);
const plain = (text: string): Run => ({ text, face: 'regular' });
const lines = (runs: readonly Run[], most: number, widthOf = typed) =>
  setRuns(runs, most, 1, widthOf).map((line) => line.map(({ text }) => text).join(''));

describe('words in lines', () => {
  test('are broken between words, as many on a line as it holds', () => {
    expect(lines([plain('one hand one turn per tide')], 10)).toEqual(['one hand', 'one turn', 'per tide']);
    expect(lines([plain('one hand')], 8)).toEqual(['one hand']);
    expect(lines([plain('')], 8)).toEqual(['']);
  });

  test('a word of several kinds stays together, as one in brackets does', () => {
    const runs = [
      plain('for masts ('),
      { text: 'trolley', face: 'regular' as const, link: 'x' },
      plain(').'),
    ];
    expect(lines(runs, 15)).toEqual(['for masts', '(trolley).']);
    const [, second] = setRuns(runs, 15, 1, typed);
    expect(second?.map(({ text, x, width, link }) => [text, x, width, link ?? null])).toEqual([
      ['(', 0, 1, null],
      ['trolley', 1, 7, 'x'],
      [').', 8, 2, null],
    ]);
  });

  test('a word that is wider than a line is cut, and nothing of it is lost', () => {
    expect(lines([plain('ab Donaudampfschiff cd')], 6)).toEqual(['ab', 'Donaud', 'ampfsc', 'hiff', 'cd']);
  });

  test('stand within their line, in order, all of them', () => {
    const run = fc.record(
      { text: fc.string({ maxLength: 40 }), face: fc.constantFrom('regular' as const, 'strong' as const) },
      { noNullPrototype: true },
    );
    fc.assert(
      fc.property(fc.array(run, { maxLength: 6 }), fc.integer({ min: 2, max: 30 }), (runs, most) => {
        const set = setRuns(runs, most, 1, typed);
        for (const line of set) {
          let x = 0;
          for (const one of line) {
            expect(one.x).toBeCloseTo(x);
            expect(one.width).toBeCloseTo(typed(one.text, one.face));
            x += one.width;
          }
          expect(x).toBeLessThanOrEqual(most + 1e-9);
        }
        const bare = (text: string) => text.replace(/[ \t\n]/g, '');
        expect(
          bare(
            set
              .flat()
              .map(({ text }) => text)
              .join(''),
          ),
        ).toBe(bare(runs.map(({ text }) => text).join('')));
        // Nothing that is left would have stood on the line before.
        set.slice(1).forEach((line, at) => expect(line.length === 0 && set[at]?.length === 0).toBe(false));
      }),
    );
  });
});
