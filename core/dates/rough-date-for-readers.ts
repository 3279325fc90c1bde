import { wordsFor } from '../public-words/words-for.ts';
import { dateForReaders } from './date-for-readers.ts';
import { daysOfDate, precisionOf } from './rough-date.ts';

const seasons = { 21: 'spring', 22: 'summer', 23: 'autumn', 24: 'winter' } as const;

function single(date: string, language: string): string {
  const words = wordsFor(language);
  switch (precisionOf(date)) {
    case 'week':
      return words.weekOf(dateForReaders(daysOfDate(date).first, language));
    case 'season': {
      const [year = '', number = ''] = date.split('-');
      const season = seasons[Number(number) as keyof typeof seasons];
      // Winter lies in two years.
      const until = String((Number(year) + 1) % 100).padStart(2, '0');
      return words.ofYear(words.seasons[season], season === 'winter' ? `${year}–${until}` : year);
    }
    default:
      return dateForReaders(date, language);
  }
}

/**
 * A date in words, exactly as roughly as it is known: "13 November 2025", "week of 10 November 2025", "Autumn 2025", "2 November 2025 to
 * 20 November 2025". In languages without words of their own the words are English.
 *
 * @param date see `roughDateSchema`
 */
export function roughDateForReaders(date: string, language: string): string {
  const [from = '', to] = date.split('/');
  return to === undefined || to === from
    ? single(from, language)
    : wordsFor(language).span(single(from, language), single(to, language));
}
