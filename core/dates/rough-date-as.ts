import { format, parseISO } from 'date-fns';
import type { DatePrecision, DaySpan } from './rough-date.ts';

/** The season of a day, as `roughDateSchema` names it: winter by the year of its December. */
function seasonOf(day: string): string {
  const [year, month] = [Number(day.slice(0, 4)), Number(day.slice(5, 7))];
  if (month === 12) return `${year}-24`;
  return month < 3 ? `${year - 1}-24` : `${year}-${20 + Math.floor(month / 3)}`;
}

/**
 * The days that a date may mean, told less or more exactly: the first of them, what that lies in, or all of them.
 *
 * @param precision how exactly it is to be told
 * @returns see `roughDateSchema`
 */
export function roughDateAs(precision: DatePrecision, { first, last }: DaySpan): string {
  switch (precision) {
    case 'day':
      return first;
    case 'week':
      return format(parseISO(first), "RRRR-'W'II");
    case 'month':
      return first.slice(0, 7);
    case 'season':
      return seasonOf(first);
    case 'year':
      return first.slice(0, 4);
    case 'between':
      return `${first}/${last}`;
  }
}
