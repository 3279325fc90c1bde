import { syllable } from 'syllable';

export interface ReadingEase {
  words: number;
  sentences: number;
  /** Flesch reading ease: 100 is very easy, 60 plain, 30 difficult; it can lie above and below. */
  ease: number;
  /** Flesch–Kincaid grade: years of school that it takes. */
  grade: number;
}

/** The two formulas, of how many words, sentences and syllables a text has. */
export const formulas = {
  ease: (words: number, sentences: number, syllables: number) =>
    206.835 - 1.015 * (words / sentences) - 84.6 * (syllables / words),
  grade: (words: number, sentences: number, syllables: number) =>
    0.39 * (words / sentences) + 11.8 * (syllables / words) - 15.59,
};

/** Of fewer words nothing is said: one long name would weigh too much (Flesch took samples of 100). */
const fewestWords = 40;

const wordsOf = (text: string): string[] => text.match(/\p{L}[\p{L}\p{M}\p{N}'’-]*/gu) ?? [];
const segmenter = new Intl.Segmenter('en', { granularity: 'sentence' });

/**
 * How easily English words read. Numbers count as no words. Lines are sentences of their own.
 *
 * Ease: R. Flesch, A new readability yardstick, Journal of Applied Psychology 32 (1948), 221–233. Grade: J. P. Kincaid and others,
 * Derivation of new readability formulas, Research Branch Report 8-75, Naval Technical Training (1975).
 *
 * @param fewest words of which something is said
 * @returns null where there are too few words
 */
export function readingEase(text: string, fewest = fewestWords): ReadingEase | null {
  const sentences = text
    .split('\n')
    .flatMap((line) => [...segmenter.segment(line)].map(({ segment }) => wordsOf(segment)))
    .filter((words) => words.length > 0);
  const words = sentences.flat();
  if (words.length === 0 || words.length < fewest) return null;
  const syllables = words.reduce((sum, word) => sum + Math.max(1, syllable(word)), 0);
  const counts = [words.length, sentences.length, syllables] as const;
  return {
    ...{ words: words.length, sentences: sentences.length },
    ease: formulas.ease(...counts),
    grade: formulas.grade(...counts),
  };
}
