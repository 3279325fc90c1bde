import { z } from 'zod';

/** What a reading process answers for a task. */
export const answerSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('ready') }),
  z.object({
    kind: z.literal('done'),
    output: z.unknown(),
    /** Memory the process holds now, in bytes: one that holds much is replaced. */
    holds: z.number(),
  }),
  z.object({
    kind: z.literal('refused'),
    problem: z.object({ status: z.number(), code: z.string(), message: z.string() }),
    holds: z.number(),
  }),
  z.object({ kind: z.literal('failed'), message: z.string(), holds: z.number() }),
]);
export type Answer = z.infer<typeof answerSchema>;
