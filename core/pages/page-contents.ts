import { z } from 'zod';
import { caseFactsSchema, noFacts } from './case-facts.ts';
import { line } from '../words/line.ts';
import { partsSchema } from '../parts/parts.ts';
import { webAddress } from '../parts/web-address.ts';
import { coverSchema, noCover } from './cover.ts';
import { noOpening, openingSchema } from './opening.ts';
import type { PageKind } from './page-kinds.ts';

/** What readers are shown where a page can be opened. */
const shown = {
  summary: line(400),
  cover: coverSchema,
  opening: openingSchema,
  parts: partsSchema,
};
export type Shown = { [F in keyof typeof shown]: z.infer<(typeof shown)[F]> };

const project = { ...shown, facts: caseFactsSchema };
const heading = {};
const link = {
  /** Outside this site. */
  leadsTo: webAddress,
  newWindow: z.boolean(),
};

/** What each kind of page has of its own, besides what every page has. */
export const pageContents = {
  home: shown,
  project,
  about: shown,
  resume: shown,
  plain: shown,
  group: shown,
  heading,
  link,
} satisfies Record<PageKind, z.ZodRawShape>;

type Shape<K extends PageKind> = (typeof pageContents)[K];
export type PageContent<K extends PageKind> = { [F in keyof Shape<K>]: z.infer<Shape<K>[F]> };

/** All that some kind has of its own. */
export const contentOfAnyKind = { ...project, ...link };

export const nothingShown: Shown = { summary: '', cover: noCover, opening: noOpening, parts: [] };

/** How a page of each kind begins. */
export const emptyContents: { [K in PageKind]: PageContent<K> } = {
  home: nothingShown,
  project: { ...nothingShown, facts: noFacts },
  about: nothingShown,
  resume: nothingShown,
  plain: nothingShown,
  group: nothingShown,
  heading: {},
  link: { leadsTo: '', newWindow: false },
};
