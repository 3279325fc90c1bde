import { expect, test } from '@jest/globals';
import { asUnicodeRange, unicodeRange } from './unicode-range.ts';

test('the forms of the standard: one code point, an interval, wildcards, a list', () => {
  // CSS Fonts Module Level 4, section 4.5, its examples.
  expect(unicodeRange('U+416')).toEqual([[0x416, 0x416]]);
  expect(unicodeRange('U+400-4ff')).toEqual([[0x400, 0x4ff]]);
  expect(unicodeRange('U+4??')).toEqual([[0x400, 0x4ff]]);
  expect(unicodeRange('u+A5, U+4E00-9FFF,U+30??')).toEqual([
    [0xa5, 0xa5],
    [0x4e00, 0x9fff],
    [0x3000, 0x30ff],
  ]);
});

test('what is none is refused', () => {
  // The same section: ranges that do not fit the production, or where the end comes first, are invalid.
  for (const wrong of ['', 'U+', '400', 'U+4?-4ff', 'U+5??0', 'U+500-400', 'U+1234567', 'U+110000'])
    expect(() => unicodeRange(wrong)).toThrow(RangeError);
});

test('what is written is read back as it was', () => {
  const ranges = [
    [0x20, 0x7e],
    [0x131, 0x131],
    [0x1f300, 0x1f6ff],
  ] as const;
  expect(asUnicodeRange(ranges)).toBe('U+20-7E,U+131,U+1F300-1F6FF');
  expect(unicodeRange(asUnicodeRange(ranges))).toEqual(ranges);
});
