import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { quotedFrom, squeezed, standsIn } from './quote.ts';

describe('words quoted from a page', () => {
  const page = squeezed('Tide clock\nOne hand for the  tide,\nand one for me. The ﬁrst dial was too small.');

  test.each([
    ['as they stand', 'One hand for the tide'],
    ['over the end of a line or a block', 'clock One hand'],
    ['in the capitals of a style sheet', 'TIDE CLOCK'],
    ['with a ligature taken apart', 'The first dial'],
    ['with soft hyphens and spaces that do not break', 'too\u00a0sm\u00adall'],
  ])('are found %s', (_, quote) => {
    expect(standsIn(quote, page)).toBe(true);
  });

  test.each(['Two hands', '', '  \u00ad ', 'for me. dial'])('“%s” is not found', (quote) => {
    expect(standsIn(quote, page)).toBe(false);
  });

  test('any piece of a text is found in it, and what is squeezed stays as it is', () => {
    fc.assert(
      fc.property(fc.string(), fc.nat(), fc.nat(), (text, one, other) => {
        expect(squeezed(squeezed(text))).toBe(squeezed(text));
        // Whole characters: half of one is none.
        const letters = [...text.normalize('NFKC')];
        const [from = 0, to = 0] = [one, other].map((at) => at % (letters.length + 1)).sort((a, b) => a - b);
        const piece = letters.slice(from, to).join('').normalize('NFKC');
        fc.pre(squeezed(piece) !== '' && text.normalize('NFKC').includes(piece));
        fc.pre(/^[\x20-\x7e]*$/.test(text));
        expect(standsIn(piece, squeezed(text))).toBe(true);
      }),
    );
  });

  test('are of the part that was chosen where they stand there, else of the shortest that has them', () => {
    const parts = [
      { part: 'part-one', text: squeezed('One hand') },
      { part: 'part-two', text: squeezed('One hand, two dials') },
    ];
    const from = (quote: string, chosen: string | null = null) =>
      quotedFrom(quote, parts, chosen)?.part ?? null;
    expect(from('one hand')).toBe('part-one');
    expect(from('one hand', 'part-two')).toBe('part-two');
    expect(from('two dials', 'part-one')).toBe('part-two');
    expect(from('three', 'part-one')).toBeNull();
  });
});
