import { z } from 'zod';
import { heightSchema } from './height.ts';
import { type Id, idSchema } from './id.ts';
import { line } from './line.ts';
import type { MaterialKind } from './material.ts';
import { plainText, richTextSchema } from './rich-text.ts';

/** Stands beside another part instead of below it, as long as that one is right before it. */
export const besideSchema = z.object({
  with: idSchema,
  /** How much of the width the other part gets. */
  share: z.number().min(0.2).max(0.8),
});

const base = {
  id: idSchema,
  height: heightSchema.default('public'),
  beside: besideSchema.optional(),
  /** What a starter asks its maker for here; shown to nobody else. */
  prompt: line(300).optional(),
};

/** A web address, or none. */
const webAddress = z.union([
  z.literal(''),
  z.url({ protocol: /^https?$/, error: 'This is no web address.' }).max(2000),
]);

export const pictureWidths = ['text', 'wide', 'full'] as const;

const wordsSchema = z.object({ ...base, kind: z.literal('words'), text: richTextSchema });
const pictureSchema = z.object({
  ...base,
  kind: z.literal('picture'),
  material: idSchema.nullable(),
  width: z.enum(pictureWidths).default('wide'),
  /** Where a click on it leads; empty: it is opened large. */
  link: webAddress.default(''),
});

export const galleryLayouts = ['rows', 'columns', 'grid', 'one-large'] as const;
export const galleryCaptions = ['below', 'on-hover', 'hidden'] as const;
/** More than this are another gallery. */
export const mostInGallery = 200;
const gallerySchema = z.object({
  ...base,
  kind: z.literal('gallery'),
  title: z.string().max(120).default(''),
  pictures: z.array(idSchema).max(mostInGallery),
  layout: z.enum(galleryLayouts).default('rows'),
  /** `on-hover`: while a picture is pointed at or in focus, and below it where nothing can be pointed with. */
  captions: z.enum(galleryCaptions).default('below'),
  /** One large picture after another, by itself and slowly. Never for readers who want less motion, nor on touch. */
  autoplay: z.boolean().default(false),
});

const documentSchema = z.object({
  ...base,
  kind: z.literal('document'),
  material: idSchema.nullable(),
  /** Readers may download the file itself, with whatever it holds. */
  download: z.boolean().default(false),
});
const soundSchema = z.object({ ...base, kind: z.literal('sound'), material: idSchema.nullable() });
const clipSchema = z.object({ ...base, kind: z.literal('clip'), material: idSchema.nullable() });
export const linkForms = ['in-place', 'card', 'button'] as const;
export type LinkForm = (typeof linkForms)[number];
const linkSchema = z.object({
  ...base,
  kind: z.literal('link'),
  material: idSchema.nullable(),
  /** `in-place`: the page or clip itself once a reader asks for it; a card by itself where that cannot be. */
  form: z.enum(linkForms).default('in-place'),
  align: z.enum(['left', 'centre', 'right']).default('left'),
});

const words = (most: number) => line(most).default('');

const quoteSchema = z.object({
  ...base,
  kind: z.literal('quote'),
  text: words(1200),
  /** Who said or wrote it. */
  by: words(200),
});
const compareSchema = z.object({
  ...base,
  kind: z.literal('compare'),
  before: idSchema.nullable(),
  after: idSchema.nullable(),
  beforeName: z.string().max(60).default('Before'),
  afterName: z.string().max(60).default('After'),
});
/** A material with three short answers: what it is, why it was chosen, what it shows about its maker. */
const evidenceSchema = z.object({
  ...base,
  kind: z.literal('evidence'),
  material: idSchema.nullable(),
  what: words(1200),
  why: words(1200),
  shows: words(1200),
});
const reflectionSchema = z.object({
  ...base,
  kind: z.literal('reflection'),
  answers: z
    .array(
      z.object({
        id: idSchema,
        /** The question it answers: its maker's guide, shown to nobody else. */
        question: words(300),
        text: words(6000),
      }),
    )
    .max(12, 'A reflection answers at most twelve questions. Start another one for the rest.'),
});
/** Made from whose work the page's materials are; it holds nothing of its own. */
const creditsSchema = z.object({ ...base, kind: z.literal('credits') });
const contactSchema = z.object({
  ...base,
  kind: z.literal('contact'),
  words: words(600),
  email: z.union([z.literal(''), z.email('This is no e-mail address.')]).default(''),
  link: webAddress.default(''),
});

/** One piece of a page. Each kind is one member; captions and alt text belong to the material, not to the place. */
export const partSchema = z.discriminatedUnion('kind', [
  wordsSchema,
  pictureSchema,
  gallerySchema,
  documentSchema,
  soundSchema,
  clipSchema,
  linkSchema,
  quoteSchema,
  compareSchema,
  evidenceSchema,
  reflectionSchema,
  creditsSchema,
  contactSchema,
]);
export type Part = z.infer<typeof partSchema>;
/** A part without what is its maker's alone: what it shows. */
export type PartShape = Part extends infer P
  ? P extends Part
    ? Omit<P, 'height' | 'prompt'>
    : never
  : never;
export type PartKind = Part['kind'];
export type PartOf<K extends PartKind> = Extract<Part, { kind: K }>;

export const partsSchema = z
  .array(partSchema)
  .max(200, 'A page holds at most 200 parts. Start another page for the rest.')
  .refine((parts) => new Set(parts.map((part) => part.id)).size === parts.length, 'Two parts share one id.');

/** The materials a part shows, in reading order; for a part with or without what is its maker's alone. */
export function materialsOf(part: PartShape | { kind: 'reflection' } | { kind: 'credits' }): Id[] {
  switch (part.kind) {
    case 'words':
    case 'quote':
    case 'reflection':
    case 'credits':
    case 'contact':
      return [];
    case 'compare':
      return [part.before, part.after].filter((id) => id !== null);
    case 'picture':
    case 'document':
    case 'sound':
    case 'clip':
    case 'link':
    case 'evidence':
      return part.material ? [part.material] : [];
    case 'gallery':
      return part.pictures;
  }
}

/** The part that shows one material of some kind, as it is first tied in. A note becomes words of the page. */
export const partKindOf = {
  picture: 'picture',
  document: 'document',
  sound: 'sound',
  clip: 'clip',
  link: 'link',
  note: 'words',
} as const satisfies Record<MaterialKind, PartKind>;

/** The part without the given material; used when a material is deleted. */
export function withoutMaterial(part: Part, material: Id): Part {
  switch (part.kind) {
    case 'words':
    case 'quote':
    case 'reflection':
    case 'credits':
    case 'contact':
      return part;
    case 'compare':
      return {
        ...part,
        before: part.before === material ? null : part.before,
        after: part.after === material ? null : part.after,
      };
    case 'picture':
    case 'document':
    case 'sound':
    case 'clip':
    case 'link':
    case 'evidence':
      return part.material === material ? { ...part, material: null } : part;
    case 'gallery':
      return { ...part, pictures: part.pictures.filter((id) => id !== material) };
  }
}

/** True when a reader would see nothing: such a part stays in the draft and is left out of every view. */
export function isEmptyPart(part: Part): boolean {
  const blank = (...texts: string[]) => texts.every((text) => text.trim() === '');
  switch (part.kind) {
    case 'words':
      return plainText(part.text) === '';
    case 'quote':
      return blank(part.text);
    case 'compare':
      return part.before === null || part.after === null;
    case 'evidence':
      return part.material === null && blank(part.what, part.why, part.shows);
    case 'reflection':
      return blank(...part.answers.map(({ text }) => text));
    case 'contact':
      return blank(part.words, part.email, part.link);
    case 'credits':
      // What it shows depends on the page: a view leaves it out where nobody is to be credited.
      return false;
    default:
      return materialsOf(part).length === 0;
  }
}
