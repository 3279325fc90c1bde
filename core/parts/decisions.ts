import { z } from 'zod';
import { idSchema } from '../id.ts';
import type { SeenMoment } from '../moments/seen-moment.ts';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

/** What was decided in moments, why, what was turned down and what it led to, as a table for readers who want the reasoning. */
export const decisionsSchema = partBase.extend({
  kind: z.literal('decisions'),
  title: line(120).default(''),
  /** Of which pages; null: of this one and of all that hang below it. */
  pages: z.array(idSchema).max(300).nullable().default(null),
});
type Decisions = z.infer<typeof decisionsSchema>;

export type SeenDecision = Pick<
  SeenMoment,
  'id' | 'page' | 'date' | 'title' | 'decided' | 'why' | 'turnedDown' | 'ledTo' | 'addressed'
>;
export type SeenDecisions = Pick<Decisions, 'title'> & { rows: SeenDecision[] };

export const decisions = partRules<typeof decisionsSchema, SeenDecisions>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: decisionsSchema,
  noun: 'table of decisions',
  start: () => ({ title: '', pages: null }),
  isEmpty: () => false,
  seen: (part, { moments }) => {
    const rows = moments(part).map(
      ({ id, page, date, title, decided, why, turnedDown, ledTo, addressed }): SeenDecision => ({
        ...{ id, page, date, title, decided, why, turnedDown, ledTo, addressed },
      }),
    );
    return rows.length > 0 ? { title: part.title, rows } : null;
  },
  changed: () => 'table of decisions changed',
});
