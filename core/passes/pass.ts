import { z } from 'zod';
import { idSchema } from '../id.ts';
import { line } from '../words/line.ts';
import { localTimeSchema, timeZoneSchema } from '../dates/local-time.ts';

/** So many things one pass opens by name; who wants more opens the whole site. */
const mostOpened = 100;
/** So many passes a site has at most. */
export const mostPasses = 500;

/** What its maker would like to hear is at most this long, in characters. */
export const mostAsked = 300;

/** What a pass opens: the whole site, or pages with all below them and versions of a résumé. What is Private it never opens. */
export const passOpensSchema = z.union([
  z.literal('site'),
  z
    .array(idSchema)
    .min(1, 'Say what the pass opens: the whole site, or at least one page.')
    .max(mostOpened, `Open the whole site, or at most ${mostOpened} pages.`),
]);

/** What a maker says of a pass. */
export const passTermsSchema = z.object({
  label: line(80).refine((label) => label.trim() !== '', 'Name the pass, so that you know it again.'),
  /** Whom it is for. Told to nobody. */
  forWhom: line(200).default(''),
  opens: passOpensSchema,
  /** By clocks in `timeZone`; null: at once. */
  from: localTimeSchema.nullable().default(null),
  /** By clocks in `timeZone`; null: until it is switched off. */
  until: localTimeSchema.nullable().default(null),
  timeZone: timeZoneSchema,
  /** Files that pages offer for download can be downloaded. */
  mayDownload: z.boolean().default(true),
  /** Its readers can say something of what they read. */
  mayComment: z.boolean().default(false),
  /** What its maker would like to hear; stands over the form by which its readers comment. */
  asks: z
    .string()
    .trim()
    .max(mostAsked, `What you would like to hear can be at most ${mostAsked} characters long.`)
    .default(''),
});
export type PassTerms = z.output<typeof passTermsSchema>;
