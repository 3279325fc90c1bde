import { z } from 'zod';
import { localTimeSchema, timeZoneSchema } from '../dates/local-time.ts';
import { line } from '../words/line.ts';

/** What the server does at a time that a maker set: gives readers what stands in the draft then, or closes the site to all of them. */
export const doesAtTime = ['publish', 'take-down'] as const;
export type DoesAtTime = (typeof doesAtTime)[number];

/** So many times a site waits for at once. */
export const mostSetTimes = 20;

export const setTimeTermsSchema = z.object({
  does: z.enum(doesAtTime),
  /** By clocks in `timeZone`. */
  local: localTimeSchema,
  timeZone: timeZoneSchema,
  /** Of the release, where one is made. */
  name: line(120).default(''),
});
export type SetTimeTerms = z.output<typeof setTimeTermsSchema>;
