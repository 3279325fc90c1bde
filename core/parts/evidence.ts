import { z } from 'zod';
import { idSchema } from '../id.ts';
import { line } from '../words/line.ts';
import { plural } from '../words/plural.ts';
import { showsOne } from './one-material.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules } from './part-rules.ts';

/** A material with three short answers: what it is, why it was chosen, what it shows about its maker. */
export const evidenceSchema = partBase.extend({
  kind: z.literal('evidence'),
  material: idSchema.nullable(),
  what: line(1200).default(''),
  why: line(1200).default(''),
  shows: line(1200).default(''),
});
type Evidence = z.infer<typeof evidenceSchema>;

const openAnswers = ({ what, why, shows }: Evidence): number =>
  [what, why, shows].filter((answer) => allBlank(answer)).length;

export const evidence = partRules<
  typeof evidenceSchema,
  Pick<Evidence, 'material' | 'what' | 'why' | 'shows'>
>({
  ...showsOne((kind) => kind !== 'note'),
  ...holdsNothing,
  schema: evidenceSchema,
  noun: 'evidence',
  start: ([material = null]) => ({ material, what: '', why: '', shows: '' }),
  isEmpty: (part) => part.material === null && openAnswers(part) === 3,
  needs: (part) => {
    if (part.material === null) return 'the thing itself';
    return openAnswers(part) > 0 ? plural(openAnswers(part), 'more answer') : null;
  },
  seen: ({ material, what, why, shows }) => ({ material, what, why, shows }),
  changed: () => 'evidence changed',
});
