import { z } from 'zod';
import { languageSchema } from '../language/language.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

/**
 * How well somebody speaks a language: the six levels of the Common European Framework of Reference for Languages, or as
 * their first one.
 */
export const languageLevels = ['first', 'C2', 'C1', 'B2', 'B1', 'A2', 'A1'] as const;
export type LanguageLevel = (typeof languageLevels)[number];

const spokenSchema = z.object({ language: languageSchema, level: z.enum(languageLevels) });
export type Spoken = z.infer<typeof spokenSchema>;

/** Languages the maker speaks, in the order they give. */
export const languagesSchema = partBase.extend({
  kind: z.literal('languages'),
  list: z.array(spokenSchema).max(12, 'At most twelve languages fit here.'),
});

export const languages = partRules<typeof languagesSchema, { list: Spoken[] }>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: languagesSchema,
  noun: 'languages',
  tiedIn: 'facts',
  start: () => ({ list: [] }),
  isEmpty: ({ list }) => list.length === 0,
  seen: ({ list }) => ({ list }),
  changed: () => 'languages changed',
});
