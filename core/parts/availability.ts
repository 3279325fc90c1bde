import { z } from 'zod';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

/** What the maker is free for, and when. */
export const availabilitySchema = partBase.extend({
  kind: z.literal('availability'),
  text: line(160).default(''),
  /** The first day and the last one, as ISO 8601 writes them; null: open at that end. */
  from: z.iso.date('Write a day as 2027-06-15.').nullable().default(null),
  to: z.iso.date('Write a day as 2027-08-29.').nullable().default(null),
});
type Availability = z.infer<typeof availabilitySchema>;

export const availability = partRules<typeof availabilitySchema, Pick<Availability, 'text' | 'from' | 'to'>>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: availabilitySchema,
  noun: 'what its maker is free for',
  tiedIn: 'facts',
  start: () => ({ text: '', from: null, to: null }),
  isEmpty: ({ text }) => allBlank(text),
  seen: ({ text, from, to }) => ({ text: text.trim(), from, to }),
  changed: () => 'what its maker is free for changed',
});
