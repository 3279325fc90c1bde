import subsetFont from 'subset-font';
import type { CodePoints } from '../core/look/unicode-range.ts';

/** What of a variable font is used: weights from 1 to 1000, widths in per cent. */
export interface UsedAxes {
  weights: readonly [number, number];
  widths?: readonly [number, number];
}

/** One file of a font before or after it is cut: what it draws, and its bytes as WOFF2. */
export interface FontFile {
  ranges: readonly CodePoints[];
  contents: Buffer;
}

/**
 * What the style sheets ask of a font and browsers do without being asked: pairs, ligatures, marks, and the numerals of
 * tables. Everything else (small capitals, swashes, old forms) no theme uses.
 */
const keepFeatures = [
  ...['ccmp', 'locl', 'rlig', 'liga', 'clig', 'calt', 'kern', 'mark', 'mkmk', 'rvrn'],
  ...['lnum', 'tnum'],
];

const pointsOf = (ranges: readonly CodePoints[]): number[] =>
  ranges.flatMap(([first, last]) => Array.from({ length: last - first + 1 }, (_, at) => first + at));

/** Code points as intervals, in order. */
export function intervals(points: readonly number[]): CodePoints[] {
  const all: [number, number][] = [];
  for (const point of [...points].sort((a, b) => a - b)) {
    const before = all.at(-1);
    if (before && point <= before[1] + 1) before[1] = point;
    else all.push([point, point]);
  }
  return all;
}

/** Beyond ASCII, the signs that words in English have too, and those that our pages set by themselves. */
const commonSigns = '\u00a0©«»°·×–—‘’‚“”„•…′″‹›€←↑→↓−';

/**
 * The sets of letters that a file is cut into. What draws English is cut in two, since most pages need no more of it than
 * ASCII and common signs.
 */
export function cutRanges(ranges: readonly CodePoints[]): CodePoints[][] {
  const points = pointsOf(ranges);
  if (!points.includes(0x61)) return [[...ranges]];
  const isCommon = (point: number) => point <= 0x7f || commonSigns.includes(String.fromCodePoint(point));
  return [points.filter(isCommon), points.filter((point) => !isCommon(point))]
    .filter(({ length }) => length > 0)
    .map(intervals);
}

/**
 * Cuts a file of a variable font down to the weights and widths a pair uses, and into the files of `cutRanges`. */
export async function cutFont(
  { ranges, contents }: FontFile,
  { weights, widths }: UsedAxes,
): Promise<FontFile[]> {
  const range = ([min, max]: readonly [number, number]) => ({ min, max });
  const files: FontFile[] = [];
  for (const part of cutRanges(ranges)) {
    const text = String.fromCodePoint(...pointsOf(part));
    const options = {
      targetFormat: 'woff2',
      keepFeatures,
      variationAxes: { wght: range(weights), ...(widths && { wdth: range(widths) }) },
    } as const;
    files.push({ ranges: part, contents: await subsetFont(contents, text, options) });
  }
  return files;
}

/** Makes one weight (and width) of a variable font, as TrueType, for what is drawn without a browser. */
export async function drawnFont(
  { ranges, contents }: FontFile,
  { weight, width, opticalSize }: { weight: number; width?: number; opticalSize?: number },
): Promise<Buffer> {
  return subsetFont(contents, String.fromCodePoint(...pointsOf(ranges)), {
    targetFormat: 'sfnt',
    keepFeatures: ['ccmp', 'locl', 'rlig', 'liga', 'clig', 'calt', 'kern', 'mark', 'mkmk', 'rvrn'],
    variationAxes: {
      wght: weight,
      ...(width !== undefined && { wdth: width }),
      ...(opticalSize !== undefined && { opsz: opticalSize }),
    },
  });
}
