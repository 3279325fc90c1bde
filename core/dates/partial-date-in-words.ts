import { format, parseISO } from 'date-fns';

/** "13 November 2025", "November 2025" or "2025". */
export function partialDateInWords(date: string): string {
  const shape = date.length >= 10 ? 'd MMMM yyyy' : date.length === 7 ? 'MMMM yyyy' : 'yyyy';
  return format(parseISO(date), shape);
}
