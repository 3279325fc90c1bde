import { addDays, format, parseISO } from 'date-fns';

/** How near an open task is. */
export type Nearness = 'late' | 'this-week' | 'later' | 'no-day';

/** How near a day is; a week reaches six days beyond today. */
export function nearnessOf(day: string | null, today: string): Nearness {
  if (day === null) return 'no-day';
  if (day < today) return 'late';
  return day <= format(addDays(parseISO(today), 6), 'yyyy-MM-dd') ? 'this-week' : 'later';
}
