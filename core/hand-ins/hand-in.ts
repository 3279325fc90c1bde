import { z } from 'zod';
import { givenLinkSchema } from '../access/given-link.ts';
import { localTimeSchema, timeZoneSchema } from '../dates/local-time.ts';
import { line } from '../words/line.ts';

/** So many hand-ins a site has at most. */
export const mostHandIns = 300;

/** What a maker says of something they hand in. */
export const handInTermsSchema = z.object({
  what: line(120).refine((what) => what.trim() !== '', 'Say what is handed in.'),
  /** A course, a job, a competition. */
  forWhom: line(120).default(''),
  /** By clocks in `timeZone`; null: at no time. */
  due: localTimeSchema.nullable().default(null),
  timeZone: timeZoneSchema,
  by: givenLinkSchema,
  /** What goes with the link. */
  text: z.string().trim().max(4000, 'The text can be at most 4,000 characters long.').default(''),
  /** Readers of its pass keep getting what is live when it is handed in. */
  keeps: z.boolean().default(false),
});
export type HandInTerms = z.output<typeof handInTermsSchema>;
