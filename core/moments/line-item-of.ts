import { differenceInCalendarDays, parseISO } from 'date-fns';
import { daysOfDate } from '../dates/rough-date.ts';
import type { Id } from '../id.ts';
import type { LineItem } from '../timeline/line-item.ts';

const epoch = new Date(1970, 0, 1);
/** A day as it is counted on a line: since 1970. */
export const dayNumber = (day: string): number => differenceInCalendarDays(parseISO(day), epoch);

/** A moment as it lies on a line. */
export function lineItemOf({ id, date }: { id: Id; date: string }): LineItem {
  const { first, last } = daysOfDate(date);
  return { id, first: dayNumber(first), last: dayNumber(last) };
}
