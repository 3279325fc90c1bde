/** First and last code point of a run, both within it. */
export type CodePoints = readonly [number, number];

/**
 * Reads the value of a `unicode-range` descriptor, as in `U+0000-00FF, U+4??, U+131`.
 *
 * Source: CSS Fonts Module Level 4, section 4.5 (the urange microsyntax is CSS Syntax Level 3, section 7).
 *
 * @throws RangeError where a token is none
 */
export function unicodeRange(text: string): CodePoints[] {
  return text.split(',').map((token) => {
    const [, digits = '', wild = '', last] =
      /^u\+([0-9a-f]{0,6})(\?{0,6})(?:-([0-9a-f]{1,6}))?$/i.exec(token.trim()) ?? [];
    const length = digits.length + wild.length;
    if (length === 0 || length > 6 || (wild !== '' && last !== undefined))
      throw new RangeError(`Not a range of code points: ${token.trim()}`);
    const from = parseInt(digits + '0'.repeat(wild.length), 16);
    const to = parseInt(last ?? digits + 'f'.repeat(wild.length), 16);
    if (to < from || to > 0x10ffff) throw new RangeError(`Not a range of code points: ${token.trim()}`);
    return [from, to];
  });
}

/** Writes code points as the value of a `unicode-range` descriptor; `unicodeRange` reads it back. */
export function asUnicodeRange(ranges: readonly CodePoints[]): string {
  const hex = (point: number) => point.toString(16).toUpperCase();
  return ranges.map(([first, last]) => `U+${hex(first)}${last > first ? `-${hex(last)}` : ''}`).join(',');
}
