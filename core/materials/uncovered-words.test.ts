import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { PageWord } from './document.ts';
import { uncoveredText } from './uncovered-words.ts';

const share = fc.double({ min: 0, max: 0.9, noNaN: true });
const side = fc.double({ min: 0.001, max: 0.1, noNaN: true });
const word = fc
  .record({ x: share, y: share, width: side, height: side, startsLine: fc.boolean() })
  .chain((box) => fc.uuid().map((text): PageWord => ({ ...box, text })));

describe('words under a black-out', () => {
  test('a word that a region touches is gone whole; all others stay in order', () => {
    fc.assert(
      fc.property(
        fc.array(word, { maxLength: 30 }),
        share,
        share,
        side,
        side,
        (words, x, y, width, height) => {
          const region = { page: 2, x, y, width, height };
          const left = uncoveredText(words, 2, [region]).split(/\s+/).filter(Boolean);
          const touched = words.filter(
            (one) =>
              one.x < x + width && one.x + one.width > x && one.y < y + height && one.y + one.height > y,
          );
          for (const { text } of touched) expect(left).not.toContain(text);
          expect(left).toEqual(words.map(({ text }) => text).filter((text) => left.includes(text)));
          expect(uncoveredText(words, 1, [region]).split(/\s+/).filter(Boolean)).toEqual(
            words.map(({ text }) => text),
          );
        },
      ),
    );
  });

  test('lines stay lines, also when the first word of one is gone', () => {
    const at = (text: string, y: number, startsLine: boolean): PageWord => ({
      text,
      x: startsLine ? 0.1 : 0.5,
      y,
      width: 0.1,
      height: 0.02,
      startsLine,
    });
    const words = [
      at('one', 0.1, true),
      at('two', 0.1, false),
      at('three', 0.2, true),
      at('four', 0.2, false),
    ];
    expect(uncoveredText(words, 0)).toBe('one two\nthree four');
    expect(uncoveredText(words, 0, [{ page: 0, x: 0.05, y: 0.19, width: 0.2, height: 0.05 }])).toBe(
      'one two\nfour',
    );
  });
});
