import { z } from 'zod';
import { localTimeSchema, timeZoneSchema } from '../dates/local-time.ts';
import { idSchema } from '../id.ts';
import { line } from '../words/line.ts';

/** By which link something is handed in: the site's address, its link, the link of one page or version, or a pass. */
export const handedInBySchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('address') }),
  z.object({ kind: z.literal('site-link') }),
  z.object({ kind: z.literal('page-link'), thing: idSchema }),
  z.object({ kind: z.literal('pass'), pass: idSchema }),
]);
export type HandedInBy = z.output<typeof handedInBySchema>;

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
  by: handedInBySchema,
  /** What goes with the link. */
  text: z.string().trim().max(4000, 'The text can be at most 4,000 characters long.').default(''),
  /** Readers of its pass keep getting what is live when it is handed in. */
  keeps: z.boolean().default(false),
});
export type HandInTerms = z.output<typeof handInTermsSchema>;
