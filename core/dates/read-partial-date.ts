import { format, isValid, parse } from 'date-fns';

/** How people write dates, most exact first, with the form each is kept in. */
const ways: [pattern: string, kept: string][] = [
  ['yyyy-MM-dd', 'yyyy-MM-dd'],
  ['d MMMM yyyy', 'yyyy-MM-dd'],
  ['d MMM yyyy', 'yyyy-MM-dd'],
  ['MMMM d, yyyy', 'yyyy-MM-dd'],
  ['d.M.yyyy', 'yyyy-MM-dd'],
  ['yyyy-MM', 'yyyy-MM'],
  ['MMMM yyyy', 'yyyy-MM'],
  ['MMM yyyy', 'yyyy-MM'],
  ['yyyy', 'yyyy'],
];

/** Reads a date as a person types it; null when it is none. Day first where only numbers are given with dots. */
export function readPartialDate(text: string): string | null {
  const trimmed = text.trim().replace(/\s+/g, ' ');
  for (const [pattern, kept] of ways) {
    const date = parse(trimmed, pattern, new Date(2000, 0, 1));
    if (isValid(date) && date.getFullYear() >= 1000 && date.getFullYear() <= 9999) return format(date, kept);
  }
  return null;
}
