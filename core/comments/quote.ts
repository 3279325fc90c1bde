/** What separates nothing and joins nothing when words are copied from a page: spaces, line ends, soft hyphens, joiners. */
const unseen = /[\s\u00ad\u200b-\u200d\u2060\ufeff]+/g;

/**
 * Words as they are compared: a browser copies them with line ends between blocks, in the letters of a style sheet, and with what it
 * made of ligatures.
 */
export const squeezed = (text: string): string => text.normalize('NFKC').replace(unseen, '').toLowerCase();

/**
 * Whether words stand in a text, one after the other.
 *
 * @param within squeezed
 */
export function standsIn(quote: string, within: string): boolean {
  const words = squeezed(quote);
  return words !== '' && within.includes(words);
}

/**
 * The part of a page that words are quoted from: the one that was chosen where they stand there, else the
 * shortest that has them, since a part can hold others.
 *
 * @param parts with their text, squeezed, in the order of the page
 * @param chosen by whoever quotes
 * @returns null for words that stand in no part
 */
export function quotedFrom<P extends { part: string; text: string }>(
  quote: string,
  parts: readonly P[],
  chosen: string | null,
): P | null {
  const having = parts.filter(({ text }) => standsIn(quote, text));
  const [shortest] = having.sort((one, other) => one.text.length - other.text.length);
  return having.find(({ part }) => part === chosen) ?? shortest ?? null;
}
