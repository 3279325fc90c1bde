import { z } from 'zod';
import { checklistLineSchema, checklistSchema, mostLines } from '../check/lists/checklist.ts';
import { localTimeSchema, timeZoneSchema } from '../dates/local-time.ts';
import { line } from '../words/line.ts';

/** So many groups an account has at most, and so many people one of them. */
export const mostGroups = 50;
export const mostPeople = 300;

export const groupPersonSchema = z.object({
  name: line(80).refine((name) => name.trim() !== '', 'Everybody in a group has a name.'),
  /** What else stands beside the name: an address, a course. */
  more: line(160).default(''),
});

/** A list of what is looked at as a group keeps it: without anybody's ticks. Its lines keep their ids wherever it is taken. */
export const groupListSchema = checklistSchema.extend({
  lines: z
    .array(checklistLineSchema.omit({ done: true }))
    .min(1, 'A list has at least one line.')
    .max(mostLines, `A list has at most ${mostLines} lines.`)
    .refine((lines) => new Set(lines.map(({ id }) => id)).size === lines.length, 'Each line stands once.'),
});
export type GroupList = z.infer<typeof groupListSchema>;

/** People a maker knows, by names: a class, a circle, those who are asked again and again. */
export const groupTermsSchema = z.object({
  name: line(80).refine((name) => name.trim() !== '', 'Name the group.'),
  people: z.array(groupPersonSchema).max(mostPeople, `A group has at most ${mostPeople} people.`),
  list: groupListSchema.nullable().default(null),
});
export type GroupTerms = z.infer<typeof groupTermsSchema>;

/** What whoever leads a group says of its class page: who asks, for what, until when. */
export const classTermsSchema = z.object({
  /** Whom those who join hand in to, as they know them. */
  by: line(80).refine(
    (by) => by.trim() !== '',
    'Say who asks, so that those who join know whom they hand in to.',
  ),
  words: z.string().trim().max(1000, 'What is asked can be at most 1,000 characters long.').default(''),
  /** By clocks in `timeZone`; null: at no time. */
  due: localTimeSchema.nullable().default(null),
  timeZone: timeZoneSchema,
});
export type ClassTerms = z.infer<typeof classTermsSchema>;
