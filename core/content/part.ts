import { z } from 'zod';
import { heightSchema } from './height.ts';
import { type Id, idSchema } from './id.ts';
import type { MaterialKind } from './material.ts';
import { plainText, richTextSchema } from './rich-text.ts';

const base = { id: idSchema, height: heightSchema.default('public') };

export const pictureWidths = ['text', 'wide', 'full'] as const;

const wordsSchema = z.object({ ...base, kind: z.literal('words'), text: richTextSchema });
const pictureSchema = z.object({
  ...base,
  kind: z.literal('picture'),
  material: idSchema.nullable(),
  width: z.enum(pictureWidths).default('wide'),
});
const gallerySchema = z.object({
  ...base,
  kind: z.literal('gallery'),
  title: z.string().max(120).default(''),
  pictures: z.array(idSchema).max(200),
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

const line = (most: number) =>
  z.string().max(most, `This can be at most ${most} characters long.`).default('');

const quoteSchema = z.object({
  ...base,
  kind: z.literal('quote'),
  text: line(1200),
  /** Who said or wrote it. */
  by: line(200),
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
  what: line(1200),
  why: line(1200),
  shows: line(1200),
});
const reflectionSchema = z.object({
  ...base,
  kind: z.literal('reflection'),
  answers: z
    .array(
      z.object({
        id: idSchema,
        /** The question it answers: its maker's guide, shown to nobody else. */
        question: line(300),
        text: line(6000),
      }),
    )
    .max(12, 'A reflection answers at most twelve questions. Start another one for the rest.'),
});
/** Made from whose work the page's materials are; it holds nothing of its own. */
const creditsSchema = z.object({ ...base, kind: z.literal('credits') });
const contactSchema = z.object({
  ...base,
  kind: z.literal('contact'),
  words: line(600),
  email: z.union([z.literal(''), z.email('This is no e-mail address.')]).default(''),
  link: z
    .union([z.literal(''), z.url({ protocol: /^https?$/, error: 'This is no web address.' })])
    .default(''),
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
/** A part without its height: what it shows. */
export type PartShape = Part extends infer P ? (P extends Part ? Omit<P, 'height'> : never) : never;
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
