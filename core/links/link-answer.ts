import { z } from 'zod';
import { linkStates } from '../materials/link.ts';

/** What an address elsewhere answered when it was tried. */
export const linkAnswerSchema = z.object({
  to: z.string(),
  state: z.enum(linkStates),
  /** Where it has moved for good, as it says itself (RFC 9110, 15.4.2 and 15.4.9); null: it answers where it is. */
  movedTo: z.string().nullable(),
  /** ISO 8601. */
  askedAt: z.iso.datetime(),
});
export type LinkAnswer = z.infer<typeof linkAnswerSchema>;

/** What a rule asks of an address; one that was never tried has no answer. */
export type AnswerOf = ReadonlyMap<string, Pick<LinkAnswer, 'state' | 'movedTo'>>;
