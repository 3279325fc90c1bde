import { describe, expect, test } from '@jest/globals';
import type { PageWord } from '../../materials/document.ts';
import { sourceLinesOfDocument } from './source-lines-of-document.ts';

/** Rows of a page, each from its left edge: a letter is a hundredth of the page wide, a row two hundredths high. */
const page = (rows: readonly [left: number, text: string, height?: number][]): PageWord[] =>
  rows.flatMap(([left, text, height = 0.012], n) => {
    let x = left;
    return text.split(' ').map((word, at) => {
      const one = {
        text: word,
        x,
        y: 0.1 + n * 0.02,
        width: word.length / 100,
        height,
        startsLine: at === 0,
      };
      x += (word.length + 1) / 100;
      return one;
    });
  });
const read = (...rows: Parameters<typeof page>[0]) =>
  sourceLinesOfDocument({ pages: [page(rows)], pieces: [], leftOut: 0 });
const wide = 'a row of words that runs from one edge of the page to the other one right';

describe('the lines of a PDF', () => {
  test('are rows, of which those that were broken for their width are joined', () => {
    expect(read([0.1, `${wide} here`], [0.1, 'and goes on below.']).map(({ text }) => text)).toEqual([
      `${wide} here and goes on below.`,
    ]);
    // The next word would have had room.
    expect(read([0.1, 'Deckhand, the ferry'], [0.1, 'May 2024 to September 2024'])).toHaveLength(2);
  });

  test('items stay apart, also where the longest of them ends at the edge', () => {
    const lines = read([0.1, 'Work'], [0.13, `Tied ${wide}.`], [0.13, 'Trained two others.']);
    expect(lines.map(({ as }) => as)).toEqual(['plain', 'item', 'item']);
    expect(lines.at(-1)?.text).toBe('Trained two others.');
  });

  test('a row that is the longest is not at the edge for that', () => {
    expect(read([0.1, 'Tied six ferries a day and kept the log'], [0.1, 'Trained others'])).toHaveLength(2);
  });

  test('larger rows stand out, signs of lists are taken away, and a hyphen at a line end is one', () => {
    const lines = read(
      [0.1, 'Skills and tools of the trade', 0.02],
      [0.1, '• Knots of all kinds there are'],
      [0.1, `on${String.fromCodePoint(2)}call in all the weathers`],
      [0.1, 'plain words for the median size'],
    );
    expect(lines.map(({ strong }) => strong)).toEqual([true, false, false, false]);
    expect(lines[1]).toMatchObject({ text: 'Knots of all kinds there are', as: 'item' });
    expect(lines[2]?.text).toBe('on-call in all the weathers');
  });
});
