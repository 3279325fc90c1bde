import { z } from 'zod';
import { mostLines } from '../check/lists/checklist.ts';
import { type Id, idSchema } from '../id.ts';
import { line } from '../words/line.ts';

/** So many second looks of a site are kept at most, those that are over among them. */
export const mostSecondLooks = 30;
/** So long one is open at most, in days. */
export const mostDaysOpen = 30;
/** What is asked at a line is at most this long, in characters. */
export const mostWords = 500;

/** As whom the draft is seen; whatever is Private, nobody gets. */
export const lookedAtAsSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('stranger') }),
  z.object({ kind: z.literal('site-link') }),
  /** Everything that is not Private. */
  z.object({ kind: z.literal('whole') }),
  z.object({ kind: z.literal('pass'), pass: idSchema }),
]);
export type LookedAtAs = z.infer<typeof lookedAtAsSchema>;

/** A line of the list that is ticked by whoever looks. */
export const askedLineSchema = z.object({ id: idSchema, text: line(200).min(1) });
export type AskedLine = z.infer<typeof askedLineSchema>;

/** What a maker says of a second look. */
export const secondLookTermsSchema = z.object({
  /** Whom it is for, as they are called above the draft. */
  who: line(80).refine((who) => who.trim() !== '', 'Say who looks, so that you know whose ticks they are.'),
  as: lookedAtAsSchema,
  /** The list they tick, as it was when they were asked. */
  lines: z
    .array(askedLineSchema)
    .max(mostLines, `A list has at most ${mostLines} lines.`)
    .refine((lines) => new Set(lines.map(({ id }) => id)).size === lines.length, 'Each line stands once.'),
});
export type SecondLookTerms = z.infer<typeof secondLookTermsSchema>;

/** Where something is asked: a page, or a part of it. */
export const askedAtSchema = z.object({
  page: idSchema,
  part: idSchema.nullable(),
  /** What the part, or the page, was called as they saw it. */
  about: z.string(),
});
export type AskedAt = z.infer<typeof askedAtSchema>;

/** What is said to a line: that it is so, or a question, where and in what words. */
export const lookAnswerSchema = z.discriminatedUnion('says', [
  z.object({ says: z.literal('yes') }),
  z.object({ says: z.literal('unsure'), words: z.string(), at: askedAtSchema.nullable() }),
]);
export type LookAnswer = z.infer<typeof lookAnswerSchema>;

/** By the ids of lines; what has no answer is not in it. */
export const lookAnswersSchema = z.record(idSchema, lookAnswerSchema);
export type LookAnswers = Readonly<Record<Id, LookAnswer>>;

/** How far somebody is. */
export function lookProgress(
  lines: readonly AskedLine[],
  answers: LookAnswers,
): { answered: number; yes: number; of: number } {
  const said = lines.flatMap(({ id }) => answers[id] ?? []);
  return {
    answered: said.length,
    yes: said.filter(({ says }) => says === 'yes').length,
    of: lines.length,
  };
}
