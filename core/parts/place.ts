import { z } from 'zod';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

/** How exactly a place is named, from the most exact on. */
export const exactnesses = ['street', 'town', 'region', 'country'] as const;
export type Exactness = (typeof exactnesses)[number];

/** Where the maker is, as exactly as one line says it. Each exactness is a part, so that each has a height of its own. */
export const placeSchema = partBase.extend({
  kind: z.literal('place'),
  exactness: z.enum(exactnesses),
  text: line(120).default(''),
});
type Place = z.infer<typeof placeSchema>;

export const place = partRules<typeof placeSchema, Pick<Place, 'exactness' | 'text'>>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: placeSchema,
  noun: 'place',
  tiedIn: 'facts',
  // Whoever may know the town need not be told the country as well.
  preferred: ({ exactness }) => exactnesses.indexOf(exactness),
  mostUnderAge: ({ exactness }) => (exactness === 'street' || exactness === 'town' ? 'invited' : 'public'),
  start: () => ({ exactness: 'region', text: '' }),
  isEmpty: ({ text }) => allBlank(text),
  seen: ({ exactness, text }) => ({ exactness, text: text.trim() }),
  changed: () => 'place changed',
});
