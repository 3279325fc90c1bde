import { parseISO } from 'date-fns';
import { hasWords, wordsFor } from '../public-words/words-for.ts';
import type { Month } from '../pages/case-facts.ts';

type Parts = Intl.DateTimeFormatOptions;

function shapeOf(date: string): Parts {
  if (date.length >= 10) return { day: 'numeric', month: 'long', year: 'numeric' };
  return date.length === 7 ? { month: 'long', year: 'numeric' } : { year: 'numeric' };
}

const formats = new Map<string, Intl.DateTimeFormat>();
function formatOf(language: string, parts: Parts): Intl.DateTimeFormat {
  const key = `${language} ${JSON.stringify(parts)}`;
  const known = formats.get(key) ?? new Intl.DateTimeFormat(language, { ...parts, calendar: 'gregory' });
  formats.set(key, known);
  return known;
}

const localeOf = (language: string): string =>
  // British dates stand for English ones where it is not said which.
  language === 'en' ? wordsFor(language).dates : language;

/**
 * A date that may be known only by its month or year, as it is written in a language: "13 November 2025", "novembre 2025",
 * "2025年11月".
 */
export const dateForReaders = (date: string, language: string): string =>
  formatOf(localeOf(language), shapeOf(date)).format(parseISO(date));

/**
 * A day as it stands where there is little room: "13 Nov", and with its year where that is not plain from what stands around it.
 *
 * @param day see ISO 8601: "2025-11-13"
 */
export const shortDayForReaders = (day: string, language: string, withYear: boolean): string =>
  formatOf(localeOf(language), {
    ...{ day: 'numeric', month: 'short' },
    ...(withYear && { year: 'numeric' }),
  }).format(parseISO(day));

/**
 * How long something took, in words of the page's language: "September to December 2025", "seit März 2026". Where nobody has
 * written words in it, the dates stand for themselves. Empty when no beginning is known; a last month before the first is read
 * as no last month.
 */
export function timeSpanForReaders(from: Month | null, to: Month | 'now' | null, language: string): string {
  const date = (month: Month) => dateForReaders(month, language);
  const words = hasWords(language) ? wordsFor(language) : null;
  if (from === null) return to === null || to === 'now' ? '' : date(to);
  if (to === 'now') return words ? words.since(date(from)) : `${date(from)} –`;
  if (to === null || to <= from || (to.length === 4 && from.startsWith(to))) return date(from);
  const sameYear = from.length === 7 && to.length === 7 && from.slice(0, 4) === to.slice(0, 4);
  if (!words)
    return from.length === to.length
      ? formatOf(localeOf(language), shapeOf(from)).formatRange(parseISO(from), parseISO(to))
      : `${date(from)} – ${date(to)}`;
  const first = sameYear
    ? formatOf(localeOf(language), { month: 'long' }).format(parseISO(from))
    : date(from);
  return words.span(first, date(to));
}
