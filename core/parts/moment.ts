import { z } from 'zod';
import { roughDateSchema } from '../dates/rough-date.ts';
import { idSchema } from '../id.ts';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules } from './part-rules.ts';

/** So many materials a moment has at most. */
export const mostInMoment = 60;
/** More than this in one moment is a slip of the finger: 999 hours. */
const mostMinutes = 999 * 60;
const words = line(4000).default('');

/** One dated step of how the work came about. Only its date has to be there. */
export const momentSchema = partBase.extend({
  kind: z.literal('moment'),
  /** As roughly as it is known. */
  date: roughDateSchema,
  title: line(160).default(''),
  happened: words,
  decided: words,
  why: words,
  turnedDown: words,
  next: words,
  /** One of the site's phases; see `phasesSchema`. */
  phase: idSchema.nullable().default(null),
  /** Time spent. */
  minutes: z.number().int().min(1).max(mostMinutes).nullable().default(null),
  /** With whom. */
  with: line(160).default(''),
  /** The first one stands in front. */
  materials: z
    .array(idSchema)
    .max(mostInMoment, `At most ${mostInMoment} things fit into one moment.`)
    .default([]),
  /** A later moment of the same page to which what was decided led. */
  ledTo: idSchema.nullable().default(null),
});
export type Moment = z.infer<typeof momentSchema>;

export const moment = partRules<typeof momentSchema, object>({
  ...holdsNothing,
  schema: momentSchema,
  noun: 'moment',
  tiedIn: 'moments',
  start: (materials) => ({
    // Whoever ties one in says when it was; this is for none that is kept.
    ...{ date: '2000', title: '', happened: '', decided: '', why: '', turnedDown: '', next: '' },
    ...{ phase: null, minutes: null, with: '', materials: [...materials], ledTo: null },
  }),
  materials: (part) => ('materials' in part ? [...part.materials] : []),
  without: (part, material) => ({ ...part, materials: part.materials.filter((id) => id !== material) }),
  take: (part, materials) => {
    const all = [...new Set([...part.materials, ...materials.map(({ id }) => id)])];
    return all.length <= mostInMoment ? { ...part, materials: all } : null;
  },
  // A day alone tells nobody anything.
  isEmpty: ({ title, happened, decided, why, turnedDown, next, materials }) =>
    materials.length === 0 && allBlank(title, happened, decided, why, turnedDown, next),
  // Readers get moments from process parts only; see `SeenContext.moments`.
  seen: () => null,
  changed: (was, now) => `moment ${now.title || was.title || 'without a name'} changed`,
});
