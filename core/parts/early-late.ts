import { z } from 'zod';
import { compareRoughDates, roughDateSchema } from '../dates/rough-date.ts';
import { type Id, idSchema } from '../id.ts';
import type { MaterialKind } from '../materials/material.ts';
import { line } from '../words/line.ts';
import { plural } from '../words/plural.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules } from './part-rules.ts';

/** So many states of one thing stand beside each other at most. */
export const mostStates = 6;

/** The thing at one date: something to look at or listen to, words as they were then, or both. */
const stateSchema = z.object({
  id: idSchema,
  /** As roughly as it is known; null for none. */
  date: roughDateSchema.nullable().default(null),
  /** What it is called beside its date. */
  name: line(60).default(''),
  material: idSchema.nullable().default(null),
  words: line(4000).default(''),
});
export type EarlyLateState = z.infer<typeof stateSchema>;

/** The same thing at two or more dates: over a project, or over years. */
export const earlyLateSchema = partBase.extend({
  kind: z.literal('early-late'),
  states: z.array(stateSchema).max(mostStates, `At most ${mostStates} states fit beside each other.`),
});
type EarlyLate = z.infer<typeof earlyLateSchema>;

const kinds: readonly MaterialKind[] = ['picture', 'sound', 'clip'];
const shows = ({ material, words }: EarlyLateState): boolean => material !== null || !allBlank(words);

/** In time where all dates are known, else as their maker put them. */
export function statesInTime(states: readonly EarlyLateState[]): EarlyLateState[] {
  const dated = states.flatMap((state) => (state.date === null ? [] : [{ state, date: state.date }]));
  return dated.length === states.length
    ? dated.sort((a, b) => compareRoughDates(a.date, b.date)).map(({ state }) => state)
    : [...states];
}

/** An empty state. */
export const newState = (id: Id, material: Id | null = null): EarlyLateState => ({
  ...{ id, material, date: null, name: '', words: '' },
});

export const earlyLate = partRules<typeof earlyLateSchema, Pick<EarlyLate, 'states'>>({
  ...holdsNothing,
  schema: earlyLateSchema,
  noun: 'early and late',
  start: (materials, id) => ({
    states: [0, 1].map((at) => newState(`${id.slice(0, 30)}-state-${at}`, materials[at] ?? null)),
  }),
  materials: ({ states }) => states.flatMap(({ material }) => material ?? []),
  without: (part, gone) => ({
    ...part,
    states: part.states.map((state) => (state.material === gone ? { ...state, material: null } : state)),
  }),
  take: (part, materials) => {
    const there = part.states.map(({ material }) => material);
    const fresh = materials.filter(({ id, kind }) => kinds.includes(kind) && !there.includes(id));
    const empty = part.states.filter((state) => !shows(state)).length;
    const more = Math.max(0, fresh.length - empty);
    if (materials.some(({ kind }) => !kinds.includes(kind)) || part.states.length + more > mostStates)
      return null;
    const waiting = fresh.map(({ id }) => id);
    const states = part.states.map((state) =>
      shows(state) ? state : { ...state, material: waiting.shift() ?? null },
    );
    return {
      ...part,
      states: [
        ...states,
        ...waiting.map((id, at) => newState(`${part.id.slice(0, 24)}-more-${states.length + at}`, id)),
      ],
    };
  },
  // One state is no comparison.
  isEmpty: ({ states }) => states.filter(shows).length < 2,
  needs: ({ states }) => {
    const undated = states.filter((state) => shows(state) && state.date === null && state.name === '').length;
    return undated > 0 ? `${plural(undated, 'date')} in early and late` : null;
  },
  seen: ({ states }) => ({ states: statesInTime(states.filter(shows)) }),
  changed: () => 'early and late changed',
});
