import { z } from 'zod';
import { type CaseFacts, noFacts } from './case-facts.ts';
import { heightSchema } from '../access/height.ts';
import { idSchema } from '../id.ts';
import { languageSchema } from '../language/language.ts';
import { line } from '../words/line.ts';
import {
  contentOfAnyKind,
  nothingShown,
  type PageContent,
  pageContents,
  type Shown,
} from './page-contents.ts';
import type { Part } from '../parts/parts.ts';
import { type PageKind, pageKinds, rulesOfPage } from './page-kinds.ts';

/** What a maker can change of every page, whatever its kind. */
const ofEveryPage = {
  title: line(160),
  slug: z
    .string()
    .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'Use small letters, digits and single hyphens.')
    .max(80),
  height: heightSchema,
  rank: z.string().min(1).max(200),
  parent: idSchema.nullable(),
  /** Put away: it hangs nowhere, and its maker finds it again among what was put away. */
  archived: z.boolean(),
  /** Whether its maker wants it in the readers' menu; null where they have not chosen (`standsInMenu`). */
  inMenu: z.boolean().nullable(),
  /** What it is written in, where that is another language than the site's. */
  language: languageSchema.nullable(),
};
const pageBaseSchema = z.object({ ...ofEveryPage, id: idSchema });
/** What every page has, whatever its kind. */
export type PageBase = z.infer<typeof pageBaseSchema>;

/** A page of one kind as its maker has it. */
export type PageOf<K extends PageKind> = PageBase & { kind: K } & PageContent<K>;
export type Page = { [K in PageKind]: PageOf<K> }[PageKind];
/** A page that readers can open. */
export type ShownPage = Extract<Page, Shown>;

const schemaWith = (content: (kind: PageKind) => z.ZodRawShape) => {
  const all = pageKinds.map((kind) => pageBaseSchema.extend({ ...content(kind), kind: z.literal(kind) }));
  type KindSchema = (typeof all)[number];
  // Each kind has its own content here, which the type of a list cannot say.
  return z.discriminatedUnion('kind', all as [KindSchema, ...KindSchema[]]) as unknown as z.ZodType<Page>;
};
/** A page, checked by what its own kind has. */
export const pageSchema = schemaWith((kind) => pageContents[kind]);
/** A page whose parts were checked before, each by itself. */
export const pageOfCheckedPartsSchema = schemaWith((kind) => ({
  ...pageContents[kind],
  ...('parts' in pageContents[kind] && { parts: z.custom<Part[]>(Array.isArray) }),
}));

/** What a maker can change on some page; every member is checked on its own. */
export const pageFieldsSchema = z.object({ ...ofEveryPage, ...contentOfAnyKind });

/** Whether a page of this kind has a field at all: a heading has no parts. */
export const hasField = ({ kind }: { kind: PageKind }, field: string): boolean =>
  Object.hasOwn(ofEveryPage, field) || Object.hasOwn(pageContents[kind] ?? {}, field);

/** Whether there is something on a page that readers can open. */
export const isShown = (page: Page): page is ShownPage => 'parts' in page;

/** A page that is work: it has facts about how it came to be. */
export type WorkPage = Extract<Page, { facts: CaseFacts }>;
export const isWork = (page: Page): page is WorkPage => rulesOfPage(page).isWork && 'facts' in page;

/** What readers are shown on a page; nothing where there is nothing to open. */
export const shownOn = (page: Page): Shown => (isShown(page) ? page : nothingShown);

/** The case facts of a page; none where its kind has no such. */
export const factsOf = (page: Page): CaseFacts => ('facts' in page ? page.facts : noFacts);

/** A change of some fields of a page of whatever kind. */
export type PageChange = Partial<z.infer<typeof pageFieldsSchema>>;
