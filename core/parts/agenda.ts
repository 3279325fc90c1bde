import { z } from 'zod';
import { heightSchema } from '../access/height.ts';
import { type Id, idSchema } from '../id.ts';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

/** So much fits into one agenda: a course that meets three times a week, for three years. */
export const mostEntries = 500;

const entryBase = z.object({
  id: idSchema,
  height: heightSchema,
  what: line(200).default(''),
  /** The day it is due or takes place; null for none yet. */
  day: z.iso.date().nullable().default(null),
  /** The time of that day where its maker is, as HH:MM; null for the whole day. */
  time: z
    .string()
    .regex(/^(?:[01]\d|2[0-3]):[0-5]\d$/)
    .nullable()
    .default(null),
});

export const agendaEntrySchema = z.discriminatedUnion('kind', [
  /** Something to do. */
  entryBase.extend({
    kind: z.literal('task'),
    /** The day it was ticked off; null while it is open. */
    done: z.iso.date().nullable().default(null),
    /** The place and time zone (IANA) where its time was set; what is due at a time falls elsewhere on another hour. */
    zone: line(60).default(''),
  }),
  /** Something that takes place, as a rule from a calendar that was taken in. */
  entryBase.extend({
    kind: z.literal('date'),
    /** The last day of it, where that is another one. */
    until: z.iso.date().nullable().default(null),
    place: line(160).default(''),
    /** The name of the file it came with; empty where it was typed. */
    from: line(120).default(''),
  }),
]);
export type AgendaEntry = z.infer<typeof agendaEntrySchema>;
export type Task = Extract<AgendaEntry, { kind: 'task' }>;
export type AgendaDate = Extract<AgendaEntry, { kind: 'date' }>;

/** What comes next: small tasks with due dates, and dates from a calendar. Its maker's own until it is raised. */
export const agendaSchema = partBase.extend({
  kind: z.literal('agenda'),
  title: line(120).default(''),
  entries: z
    .array(agendaEntrySchema)
    .max(mostEntries, `An agenda holds at most ${mostEntries} entries.`)
    .default([]),
});
export type Agenda = z.infer<typeof agendaSchema>;

/** An entry as its reader gets it. */
export interface SeenEntry {
  id: Id;
  what: string;
  day: string | null;
  time: string | null;
  until: string | null;
  place: string;
}

/** Entries in the order of their days and times; those of a whole day before its hours, those without a day last. */
export const inOrderOfDays = <E extends { day: string | null; time: string | null }>(
  entries: readonly E[],
): E[] => {
  const key = ({ day, time }: E) => `${day ?? '9999-99-99'} ${time ?? ''}`;
  return [...entries].sort((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0));
};

const isOpen = (entry: AgendaEntry): boolean =>
  entry.what.trim() !== '' && (entry.kind === 'date' || entry.done === null);

export const agenda = partRules<typeof agendaSchema, { title: string; entries: SeenEntry[] }>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: agendaSchema,
  noun: 'agenda',
  startsAt: 'private',
  start: () => ({ title: '', entries: [] }),
  isEmpty: ({ entries }) => !entries.some(isOpen),
  seen: ({ title, entries }) => {
    const open = inOrderOfDays(entries.filter(isOpen)).map((entry) => ({
      ...{ id: entry.id, what: entry.what.trim(), day: entry.day, time: entry.time },
      until: entry.kind === 'date' ? entry.until : null,
      place: entry.kind === 'date' ? entry.place : '',
    }));
    return open.length > 0 ? { title, entries: open } : null;
  },
  held: {
    of: ({ entries }) => entries,
    map: (part, change) => ({
      ...part,
      entries: part.entries.map(change).filter((entry) => entry !== null),
    }),
  },
  changed: () => 'agenda changed',
});
