import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cut } from './cut.ts';
import { shortened } from './shortened.ts';
import { wellFormed, wellFormedIn } from './well-formed.ts';

describe('wellFormed', () => {
  test('takes out controls, mends half characters and leaves everything else', () => {
    expect(wellFormed('a\u0000b\u0007c\td\ne\u009bf')).toBe('abc\td\nef');
    expect(wellFormed('half \ud83d of one, \ude80 other half, whole 🚀')).toBe(
      'half \ufffd of one, \ufffd other half, whole 🚀',
    );
    expect(wellFormed('Überäße, 漢字, עברית, 👩‍🚀')).toBe('Überäße, 漢字, עברית, 👩‍🚀');
  });

  test('whatever comes in, what goes out is text that UTF-8 can hold, without controls', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), fc.nat(0xffff), (text, unit) => {
        const mended = wellFormed(text + String.fromCharCode(unit));
        expect(new TextDecoder().decode(new TextEncoder().encode(mended))).toBe(mended);
        expect(mended).not.toContain('\u0000');
        expect(wellFormed(mended)).toBe(mended);
      }),
    );
  });

  test('a value in which nothing is wrong stays the very same', () => {
    const value = { a: ['x', { b: 1, c: null }], d: 'y' };
    expect(wellFormedIn(value)).toBe(value);
    expect(wellFormedIn({ ...value, d: 'y\u0000' })).toEqual(value);
  });
});

describe('cut', () => {
  test.each([
    ['🚀🚀', 3, '🚀'],
    ['ae\u0301', 2, 'a'],
    ['a👩‍👩‍👧', 5, 'a'],
    ['plain words', 5, 'plain'],
    ['short', 10, 'short'],
  ])('%s to %i', (text, most, expected) => expect(cut(text, most)).toBe(expected));

  test('is never longer than asked, never ends in half a character, and is a beginning', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), fc.nat(80), (text, most) => {
        for (const piece of [cut(text, most), shortened(text, most + 2).replace(/…$/, '')]) {
          expect(piece.length).toBeLessThanOrEqual(most + 2);
          expect(text.startsWith(piece)).toBe(true);
          expect(wellFormed(piece) === piece || wellFormed(text) !== text).toBe(true);
        }
      }),
    );
  });
});
