/** How long somebody looks before they decide to stay; common practice in trying out pages. */
export const firstSeconds = 10;

/**
 * Words of prose that grown readers of English get through in a minute, silently: the mean of 190 studies.
 *
 * Source: M. Brysbaert, "How many words do we read per minute? A review and meta-analysis of reading rate", Journal of Memory and Language
 * 109 (2019), 104047: 238. The number is from memory.
 */
const wordsPerMinute = 238;

/** As many words as are read in some seconds, by somebody who does nothing else. */
export const wordsReadIn = (seconds: number): number => Math.floor((seconds * wordsPerMinute) / 60);

/**
 * How many words a text has, as its language separates them.
 *
 * @param language BCP 47
 */
export function wordCount(text: string, language: string): number {
  let count = 0;
  for (const { isWordLike } of new Intl.Segmenter(language, { granularity: 'word' }).segment(text))
    if (isWordLike) count++;
  return count;
}
