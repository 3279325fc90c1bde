import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { unicodeRange } from '../core/look/unicode-range.ts';
import { cutFont, cutRanges, intervals } from './cut-font.ts';

// The range that font packages for the web commonly give their Latin file.
const latin = unicodeRange(
  'U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD',
);
const holds = (ranges: readonly (readonly [number, number])[] | undefined, letter: string) =>
  (ranges ?? []).some(
    ([first, last]) => first <= (letter.codePointAt(0) ?? 0) && (letter.codePointAt(0) ?? 0) <= last,
  );

test('English with its signs is one file, what is beyond another, and none is in both or lost', () => {
  const [plain, beyond, ...more] = cutRanges(latin);
  expect(more).toEqual([]);
  for (const letter of 'aZ09 –—‘’“”…·×©↑') {
    expect(holds(plain, letter)).toBe(true);
    expect(holds(beyond, letter)).toBe(false);
  }
  for (const letter of 'äßÉñøŒı÷¾') {
    expect(holds(plain, letter)).toBe(false);
    expect(holds(beyond, letter)).toBe(true);
  }
  const count = (ranges: readonly (readonly [number, number])[] = []) =>
    ranges.reduce((sum, [first, last]) => sum + last - first + 1, 0);
  expect(count(plain) + count(beyond)).toBe(count(latin));
});

test('a file that does not draw English stays one', () => {
  const cyrillic = unicodeRange('U+0400-045F,U+0490-0491');
  expect(cutRanges(cyrillic)).toEqual([cyrillic]);
});

test('intervals hold the points they were made of', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 300 }), { minLength: 1 }), (points) => {
      const runs = intervals(points);
      const back = runs.flatMap(([first, last]) =>
        Array.from({ length: last - first + 1 }, (_, at) => first + at),
      );
      expect(back).toEqual([...points].sort((a, b) => a - b));
      for (const [at, [first]] of runs.entries())
        if (at > 0) expect(first).toBeGreaterThan((runs[at - 1]?.[1] ?? 0) + 1);
    }),
  );
});

test('a font is cut to the weights and letters asked for', async () => {
  const file = createRequire(import.meta.url).resolve(
    '@fontsource-variable/instrument-sans/files/instrument-sans-latin-wght-normal.woff2',
  );
  const contents = await readFile(file);
  const [plain, beyond] = await cutFont({ ranges: latin, contents }, { weights: [400, 650] });
  // The WOFF2 signature (W3C, WOFF File Format 2.0, section 4).
  for (const piece of [plain, beyond]) expect(piece?.contents.subarray(0, 4).toString('latin1')).toBe('wOF2');
  expect(plain?.contents.byteLength).toBeLessThan(contents.byteLength * 0.8);
});
