import { format, isValid, parse, parseISO } from 'date-fns';
import { z } from 'zod';

/**
 * A day, a month or a year, as ISO 8601 writes them ("2025-11-13", "2025-11", "2025"), or a day with a time without zone,
 * as cameras write it ("2025-11-13T10:04:00").
 */
export const partialDateSchema = z
  .string()
  .regex(/^\d{4}(-\d\d(-\d\d(T\d\d:\d\d:\d\d)?)?)?$/, 'Write a date as 2025, 2025-11 or 2025-11-13.')
  .refine((text) => isValid(parseISO(text)), 'There is no such date.');

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

/** "13 November 2025", "November 2025" or "2025". */
export function partialDateInWords(date: string): string {
  const shape = date.length >= 10 ? 'd MMMM yyyy' : date.length === 7 ? 'MMMM yyyy' : 'yyyy';
  return format(parseISO(date), shape);
}

/** The month a date falls in, or its year when no month is known; for grouping. */
export const monthOf = (date: string): string => date.slice(0, 7);
