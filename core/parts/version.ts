import { z } from 'zod';
import { idSchema } from '../id.ts';
import { languageSchema } from '../language/language.ts';
import { longestLine } from '../resume/json-resume/lines-of-text.ts';
import { line } from '../words/line.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

export const papers = ['a4', 'letter'] as const;

/** The résumé for somebody: what of it, in which order and words, on how many pages. */
export const versionSchema = partBase.extend({
  kind: z.literal('version'),
  /** What its maker calls it: whom it is for. */
  name: line(80).default(''),
  /** Its entries, in order. */
  entries: z.array(idSchema).max(200),
  /** Lines of its entries that stay out. */
  without: z.array(idSchema).max(2000).default([]),
  /** Lines that say something else here. */
  words: z
    .array(z.object({ line: idSchema, text: line(longestLine) }))
    .max(500)
    .default([]),
  /** What it is asked for: words that its lines should speak of. */
  wants: line(300).default(''),
  pages: z.union([z.literal(1), z.literal(2)]),
  paper: z.enum(papers),
  /** What its file is set in. */
  fonts: z.enum(['site', 'plain']),
  /** What its headings and dates are written in, where that is another language than the page's. */
  language: languageSchema.nullable().default(null),
  /** Readers can take it along as a PDF. */
  file: z.boolean().default(true),
});
type Version = z.infer<typeof versionSchema>;

export type SeenVersion = Pick<Version, 'pages' | 'paper' | 'fonts' | 'language' | 'file'>;

export const version = partRules<typeof versionSchema, SeenVersion>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: versionSchema,
  noun: 'a version of the résumé',
  tiedIn: 'resume',
  // Readers get the first that they may have.
  preferred: () => 0,
  startsAt: 'private',
  start: () => ({
    ...{ name: '', entries: [], without: [], words: [], wants: '', language: null },
    ...{ pages: 1, paper: 'a4', fonts: 'site', file: true },
  }),
  isEmpty: ({ entries }) => entries.length === 0,
  seen: ({ pages, paper, fonts, language, file }, { downloads }) => ({
    ...{ pages, paper, fonts, language },
    file: file && downloads,
  }),
  changed: (was, now) => `${now.name || was.name || 'a version'} of the résumé changed`,
});
