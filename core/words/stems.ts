import { stemmer } from 'stemmer';

/** Words that stand in any sentence and tell no two apart (common practice). */
const everywhere = new Set(
  (
    'a about after all also an and any are as at be been before being but by can could did do does each for from get got had has ' +
    'have her his how i if in into is it its me more most my no not of off on one or other our out over own same she so some such ' +
    'than that the their them then there these they this those through to too under until up very was we well were what when ' +
    'where which while who whom why will with would you your use used using'
  ).split(' '),
);

/**
 * The words of a text that say something, as they are compared: small letters, and by their stems, so that "welded" and "welding" are
 * one (M. F. Porter, An algorithm for suffix stripping, 1980). Made for English; words of other languages are compared by beginnings
 * that are alike less often.
 */
export function stemsIn(text: string): string[] {
  const words = text.toLowerCase().match(/\p{L}[\p{L}\p{M}\p{N}]+/gu) ?? [];
  return words.filter((word) => !everywhere.has(word)).map((word) => stemmer(word));
}
