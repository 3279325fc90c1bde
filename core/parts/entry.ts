import { z } from 'zod';
import { idSchema } from '../id.ts';
import { monthSchema } from '../pages/case-facts.ts';
import { type Proof, proofSchema } from '../resume/proof.ts';
import { resumeSections } from '../resume/sections.ts';
import { longestLine } from '../resume/json-resume/lines-of-text.ts';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { allBlank, holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

/** So many lines an entry holds, and so many things that prove it as a whole. */
export const mostLines = 20;
export const mostProofs = 8;

const lineSchema = z.object({
  id: idSchema,
  text: line(longestLine).default(''),
  proof: proofSchema.nullable().default(null),
});

/** Something on the résumé, typed once for all its versions. Of a project its page says what it is called and when it was. */
export const entrySchema = partBase.extend({
  kind: z.literal('entry'),
  section: z.enum(resumeSections),
  title: line(160).default(''),
  /** Where, or by whom: a workshop, a school, who gave it. */
  place: line(160).default(''),
  from: monthSchema.nullable().default(null),
  /** The last month; `now` while it goes on. */
  to: z
    .union([monthSchema, z.literal('now')])
    .nullable()
    .default(null),
  /** How well: of a skill or a language. */
  level: line(80).default(''),
  lines: z.array(lineSchema).max(mostLines, 'At most twenty lines fit here.').default([]),
  /** What proves the entry as a whole. */
  proofs: z.array(proofSchema).max(mostProofs, 'At most eight proofs fit here.').default([]),
  /** What does not prove it, said when it was proposed: its maker's alone. */
  refused: z.array(proofSchema).max(60).default([]),
  /** The page of a project. */
  page: idSchema.nullable().default(null),
  /** What came with it from a file and has no place here: its maker's alone, and given out again with it. */
  kept: z
    .record(z.string(), z.unknown())
    .refine((kept) => JSON.stringify(kept).length <= 20_000, 'This entry brings more than an entry can hold.')
    .optional(),
});
type Entry = z.infer<typeof entrySchema>;
export type EntryLine = Entry['lines'][number];

export type SeenEntry = Pick<
  Entry,
  'section' | 'title' | 'place' | 'from' | 'to' | 'level' | 'lines' | 'proofs'
> & {
  /** Where its own page leads, if it is a project. */
  page: string | null;
};

export const entry = partRules<typeof entrySchema, SeenEntry>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: entrySchema,
  noun: 'an entry of the résumé',
  tiedIn: 'resume',
  start: () => ({
    ...{ section: 'work', title: '', place: '', from: null, to: null, level: '' },
    ...{ lines: [], proofs: [], refused: [], page: null },
  }),
  isEmpty: ({ title, page, lines }) => page === null && allBlank(title, ...lines.map(({ text }) => text)),
  seen: (part, { work, proves }) => {
    const { section, place, level, page } = part;
    // Whoever cannot open a project's page is not told of it here either.
    const project = page === null ? null : work(page);
    if (page !== null && !project) return null;
    const shown = (proof: Proof | null) => (proof && proves(proof) ? proof : null);
    return {
      ...{ section, place: place.trim(), level: level.trim(), page },
      title: part.title.trim() || (project?.title ?? ''),
      from: project ? project.from : part.from,
      to: project ? project.to : part.to,
      lines: part.lines
        .filter(({ text }) => !allBlank(text))
        .map(({ id, text, proof }) => ({ id, text: text.trim(), proof: shown(proof) })),
      proofs: part.proofs.filter((proof) => shown(proof)),
    };
  },
  changed: (was, now) => `${now.title || was.title || 'an entry'} changed`,
});
