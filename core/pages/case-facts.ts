import { z } from 'zod';
import { licences } from '../credits/licence.ts';
import { line } from '../words/line.ts';
import { tagsSchema } from '../materials/tags.ts';

/** A month or only a year, as ISO 8601 writes them: "2025-11" or "2025". */
export const monthSchema = z
  .string()
  .regex(/^\d{4}(-(0[1-9]|1[0-2]))?$/, 'Write a month as 2025-11, or only a year as 2025.');
export type Month = z.infer<typeof monthSchema>;

/** Under which terms a maker shows work of their own; the rest of the list is about the work of others. */
export const ownLicences = licences.filter(
  (licence) => licence.endsWith('-4.0') || licence === 'CC0-1.0' || licence === 'all-rights-reserved',
);

/** Somebody who took part. */
export const companionSchema = z.object({
  name: line(80),
  /** What they did, as it goes on after the name: "checked the gear sums". */
  did: line(160).default(''),
});
export type Companion = z.infer<typeof companionSchema>;

/** What a case page says in a line below its opening, and machines read beside it. All of it may be left empty. */
export const caseFactsSchema = z.object({
  from: monthSchema.nullable().default(null),
  /** The last month; `now` while it goes on. Null when the whole was done in the first. */
  to: z
    .union([monthSchema, z.literal('now')])
    .nullable()
    .default(null),
  /** The time in other words, shown instead of the months: "Autumn term, year two". */
  when: line(80).default(''),
  role: line(160).default(''),
  withWhom: z.array(companionSchema).max(20, 'At most twenty people fit here.').default([]),
  /** Tools and software. */
  madeWith: line(200).default(''),
  materials: line(200).default(''),
  field: line(80).default(''),
  /** The course it was made for, or the client. */
  course: line(120).default(''),
  tags: tagsSchema.default([]),
  licence: z.enum(licences).nullable().default(null),
});
export type CaseFacts = z.infer<typeof caseFactsSchema>;

export const noFacts: CaseFacts = caseFactsSchema.parse({});
