import { z } from 'zod';
import { idSchema } from '../id.ts';
import type { SeenMoment } from '../moments/seen-moment.ts';
import type { Phase } from '../moments/phases.ts';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules } from './part-rules.ts';

export const processForms = ['line', 'columns', 'story'] as const;
export const processSpacings = ['true', 'even'] as const;

/** Moments as readers get them: of which pages, which of them, and how they are drawn. */
export const processSchema = partBase.extend({
  kind: z.literal('process'),
  title: line(120).default(''),
  /** Of which pages; null: of this one and of all that hang below it. */
  pages: z.array(idSchema).max(300).nullable().default(null),
  /** Those of one phase only. */
  phase: idSchema.nullable().default(null),
  /** Those that were chosen one by one; empty: all. */
  chosen: z.array(idSchema).max(2000).default([]),
  form: z.enum(processForms).default('story'),
  /** True time, or the same distance from each moment to the next. */
  spacing: z.enum(processSpacings).default('true'),
  /** Whether readers are told what was decided, why, what was turned down and what was asked next. */
  reasons: z.boolean().default(true),
  /** Whether they are told with whom it was done. */
  company: z.boolean().default(false),
  /** Whether they are told how long it took. */
  time: z.boolean().default(false),
});
export type Process = z.infer<typeof processSchema>;
export type SeenProcess = Pick<Process, 'title' | 'form' | 'spacing'> & {
  moments: SeenMoment[];
  /** Those of the moments, in the maker's order. */
  phases: Phase[];
};

export const process = partRules<typeof processSchema, SeenProcess>({
  ...holdsNothing,
  schema: processSchema,
  noun: 'process',
  start: () => ({
    ...{ title: '', pages: null, phase: null, chosen: [], form: 'story', spacing: 'true' },
    ...{ reasons: true, company: false, time: false },
  }),
  // What it shows are the moments' own; only a reader's has them in it.
  materials: (part) => ('moments' in part ? part.moments.flatMap(({ materials }) => materials) : []),
  without: (part) => part,
  take: () => null,
  isEmpty: () => false,
  seen: (part, { moments, phases }) => {
    const shown = moments(part).map((moment) => ({
      ...moment,
      // That is told in a table of decisions.
      ledTo: null,
      ...(!part.reasons && { decided: '', why: '', turnedDown: '', next: '' }),
      ...(!part.company && { with: '' }),
      ...(!part.time && { minutes: null }),
    }));
    if (shown.length === 0) return null;
    const used = new Set(shown.map(({ phase }) => phase));
    const { title, form, spacing } = part;
    return { title, form, spacing, moments: shown, phases: phases.filter(({ id }) => used.has(id)) };
  },
  changed: () => 'process changed',
});
