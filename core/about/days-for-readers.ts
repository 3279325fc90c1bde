import { dateForReaders, timeSpanForReaders } from '../dates/date-for-readers.ts';
import { wordsFor } from '../public-words/words-for.ts';

/**
 * From when until when somebody is free, in words of a page's language; empty where no day is said.
 *
 * @param from first day, as ISO 8601 writes it; null: from now on
 * @param to last day; null: no end is known. One before the first day counts as none.
 */
export function daysForReaders(from: string | null, to: string | null, language: string): string {
  const words = wordsFor(language);
  if (from !== null && to !== null && to > from) return timeSpanForReaders(from, to, language);
  if (from !== null) return words.fromDay(dateForReaders(from, language));
  return to === null ? '' : words.untilDay(dateForReaders(to, language));
}
