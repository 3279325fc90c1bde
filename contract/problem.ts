import { z } from 'zod';

/** The one shape of every error. `message` is a sentence for the maker; `field` says what it is about. */
export const problemSchema = z.object({
  code: z.string(),
  message: z.string(),
  field: z.string().optional(),
  details: z.unknown().optional(),
});
export type ProblemReply = z.infer<typeof problemSchema>;
