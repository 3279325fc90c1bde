import { z } from 'zod';

/** A day of the calendar, or a time on one. */
const whole = z.union([z.iso.date(), z.iso.datetime({ local: true })]);

/**
 * A day, a month or a year, as ISO 8601 writes them ("2025-11-13", "2025-11", "2025"), or a day with a time without zone,
 * as cameras write it ("2025-11-13T10:04:00").
 */
export const partialDateSchema = z
  .string()
  .regex(/^\d{4}(-\d\d(-\d\d(T\d\d:\d\d:\d\d)?)?)?$/, 'Write a date as 2025, 2025-11 or 2025-11-13.')
  .refine(
    (text) =>
      whole.safeParse(text.length === 10 ? text : text + '2000-01-01T00:00:00'.slice(text.length)).success,
    'There is no such date.',
  );

/** The month a date falls in, or its year when no month is known; for grouping. */
export const monthOf = (date: string): string => date.slice(0, 7);
