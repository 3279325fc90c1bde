import type { ReadingEase } from './reading-ease.ts';

/** The bands of R. Flesch, How to write plain English (1979), from memory. */
const bands: readonly [least: number, words: string][] = [
  [80, 'easy to read'],
  [60, 'plain words'],
  [50, 'fairly hard to read'],
  [30, 'hard to read'],
  [-Infinity, 'very hard to read'],
];

/** Reading ease as half a sentence: "plain words, 68 of 100, about school year 7". */
export function readingEaseInWords({ ease, grade }: ReadingEase): string {
  const [, band = ''] = bands.find(([least]) => ease >= least) ?? [];
  const of = Math.max(0, Math.min(100, Math.round(ease)));
  return `${band}, ${of} of 100, about school year ${Math.max(1, Math.round(grade))}`;
}
