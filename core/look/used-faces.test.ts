import { describe, expect, test } from '@jest/globals';
import { beyondAsciiIn, usedFaces } from './used-faces.ts';
import { unicodeRange } from './unicode-range.ts';

// Shortened from how font packages for the web commonly cut their files.
const face = (name: string, range: string, italic = false) => ({ name, italic, ranges: unicodeRange(range) });
const faces = [
  face('latin', 'U+0000-00FF,U+2000-206F'),
  face('latin slanted', 'U+0000-00FF,U+2000-206F', true),
  face('latin-ext', 'U+0100-02BA'),
  face('vietnamese', 'U+0102-0103,U+1EA0-1EF9'),
  face('symbols', 'U+1F300-1F6FF'),
];
const used = (text: string, italic = false) =>
  usedFaces(faces, { beyondAscii: beyondAsciiIn(text), italic }).map(({ name }) => name);

describe('faces', () => {
  test('what is English needs one', () => {
    expect(used('Tide clock, “cut” from birch – 2026')).toEqual(['latin']);
    expect(used('')).toEqual(['latin']);
  });

  test('a letter brings the files that hold it', () => {
    expect(used('Łódź')).toEqual(['latin', 'latin-ext']);
    expect(used('Nguyễn')).toEqual(['latin', 'vietnamese']);
    expect(used('Đặng Ă')).toEqual(['latin', 'latin-ext', 'vietnamese']);
  });

  test('letters beyond the first plane are one letter, not two halves', () => {
    expect(used('a kite 🪁 no, 🌊')).toEqual(['latin', 'symbols']);
    expect(used('𝒜')).toEqual(['latin']);
  });

  test('slanted files come with slanted words', () => {
    expect(used('Tide clock', true)).toEqual(['latin', 'latin slanted']);
  });
});
