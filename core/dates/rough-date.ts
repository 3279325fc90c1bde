import { addMonths, endOfISOWeek, endOfMonth, endOfYear, format, parseISO, startOfISOWeek } from 'date-fns';
import { z } from 'zod';

/** Seasons as the Extended Date/Time Format numbers them (ISO 8601-2:2019, level 1), and the month each begins with in the north. */
const seasonMonths: Readonly<Record<string, number>> = { 21: 3, 22: 6, 23: 9, 24: 12 };

export type DatePrecision = 'day' | 'week' | 'month' | 'season' | 'year' | 'between';
type Single = Exclude<DatePrecision, 'between'>;

/** A stretch of days, both included, as ISO 8601 writes them. */
export interface DaySpan {
  first: string;
  last: string;
}

const shapes: readonly [Single, RegExp][] = [
  ['day', /^\d{4}-(?:0[1-9]|1[0-2])-\d{2}$/],
  ['week', /^\d{4}-W(?:0[1-9]|[1-4]\d|5[0-3])$/],
  ['month', /^\d{4}-(?:0[1-9]|1[0-2])$/],
  ['season', /^\d{4}-2[1-4]$/],
  ['year', /^\d{4}$/],
];
const isoDay = (date: Date): string => format(date, 'yyyy-MM-dd');

function singleSpan(date: string): (DaySpan & { precision: Single }) | null {
  const precision = shapes.find(([, shape]) => shape.test(date))?.[0];
  if (!precision || date.startsWith('0000')) return null;
  const from = (first: Date, last: Date) => ({ precision, first: isoDay(first), last: isoDay(last) });
  switch (precision) {
    case 'day': {
      const day = parseISO(date);
      return Number.isNaN(day.getTime()) ? null : from(day, day);
    }
    case 'week': {
      const first = startOfISOWeek(parseISO(date));
      // Most years have no week 53.
      return Number.isNaN(first.getTime()) || format(first, "RRRR-'W'II") !== date
        ? null
        : from(first, endOfISOWeek(first));
    }
    case 'month':
      return from(parseISO(date), endOfMonth(parseISO(date)));
    case 'season': {
      const month = seasonMonths[date.slice(5)] ?? 1;
      const first = parseISO(`${date.slice(0, 4)}-${String(month).padStart(2, '0')}`);
      return from(first, endOfMonth(addMonths(first, 2)));
    }
    case 'year':
      return from(parseISO(date), endOfYear(parseISO(date)));
  }
}

function read(date: string): (DaySpan & { precision: DatePrecision }) | null {
  const [from = '', to, ...more] = date.split('/');
  if (to === undefined) return singleSpan(from);
  const [first, last] = [singleSpan(from), singleSpan(to)];
  if (!first || !last || more.length > 0 || last.last < first.first) return null;
  return { precision: 'between', first: first.first, last: last.last };
}

/**
 * A date as roughly as it is known: a day ("2025-11-13"), an ISO week ("2025-W46"), a month ("2025-11"), a season ("2025-23" for autumn),
 * a year ("2025"), or between two of them ("2025-11-02/2025-11-20"). As ISO 8601 and its extended format write them; weeks are of ISO 8601
 * itself. A season is that of the north, and winter begins in the December of the year it is named by.
 */
export const roughDateSchema = z
  .string()
  .max(30)
  .refine((date) => read(date) !== null, 'There is no such date.');

/** How roughly a date is known. */
export const precisionOf = (date: string): DatePrecision => read(date)?.precision ?? 'day';

/**
 * The days that a date may mean, both ends included: a rough one is never one day.
 *
 * @throws RangeError for what is no date
 */
export function daysOfDate(date: string): DaySpan {
  const found = read(date);
  if (!found) throw new RangeError(`${date} is no date.`);
  return { first: found.first, last: found.last };
}

/** Dates in time: by the first day that each may mean, then by the last, so that a day stands before the month that begins with it. */
export function compareRoughDates(a: string, b: string): number {
  const [one, other] = [daysOfDate(a), daysOfDate(b)];
  return one.first.localeCompare(other.first) || one.last.localeCompare(other.last);
}
