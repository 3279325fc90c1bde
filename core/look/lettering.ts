/** Letters of one font, cut to one weight: what is needed to set lines in a drawing that names no font. */
export interface Lettering {
  /** Whether it has every letter of some words, and they run from left to right. */
  draws(words: string): boolean;
  /** How wide words are at a size of 1. */
  widthOf(words: string): number;
  /** Words as an outline (the `d` of an SVG path), their first letter's origin at a point, at a size in pixels. */
  outline(words: string, x: number, y: number, size: number): string;
}

/** The lettering of a pair of fonts. */
export interface PairLettering {
  display: Lettering;
  text: Lettering;
}

const graphemes = new Intl.Segmenter(undefined, { granularity: 'grapheme' });

/** Parts of a word that is wider than a line, each as long as fits with the hyphen it ends in. */
function brokenWord(word: string, fits: (line: string) => boolean): string[] {
  const lines: string[] = [];
  let line = '';
  for (const { segment } of graphemes.segment(word)) {
    if (line !== '' && !fits(`${line}${segment}-`)) {
      lines.push(`${line}-`);
      line = '';
    }
    line += segment;
  }
  return [...lines, line];
}

/**
 * Words in lines no wider than a width, broken between words, and within one only where it has no line of its own.
 *
 * @param width in the size of the letters
 */
export function linesOf(words: string, lettering: Pick<Lettering, 'widthOf'>, width: number): string[] {
  const fits = (line: string) => lettering.widthOf(line) <= width;
  const lines: string[] = [];
  let line = '';
  for (const word of words.split(/\s+/u).filter((one) => one !== '')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (fits(longer)) {
      line = longer;
      continue;
    }
    if (line !== '') lines.push(line);
    const parts = fits(word) ? [word] : brokenWord(word, fits);
    lines.push(...parts.slice(0, -1));
    line = parts.at(-1) ?? '';
  }
  return line === '' ? lines : [...lines, line];
}

/** Words that had to be cut say so. */
const cut = '…';

/** At most so many lines: what is too much is cut, and the last line ends in dots. */
export function atMostLines(
  lines: readonly string[],
  most: number,
  lettering: Pick<Lettering, 'widthOf'>,
  width: number,
): string[] {
  if (lines.length <= most) return [...lines];
  const letters = [...graphemes.segment(lines[most - 1] ?? '')].map(({ segment }) => segment);
  const last = () => letters.join('').trimEnd() + cut;
  while (letters.length > 0 && lettering.widthOf(last()) > width) letters.pop();
  return [...lines.slice(0, most - 1), last()];
}
