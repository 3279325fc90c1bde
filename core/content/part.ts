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

/** One piece of a page. Each kind is one member; captions and alt text belong to the material, not to the place. */
export const partSchema = z.discriminatedUnion('kind', [
  wordsSchema,
  pictureSchema,
  gallerySchema,
  documentSchema,
  soundSchema,
  clipSchema,
  linkSchema,
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

/** The materials a part shows, in reading order; for a part with or without its height. */
export function materialsOf(part: PartShape): Id[] {
  switch (part.kind) {
    case 'words':
      return [];
    case 'picture':
    case 'document':
    case 'sound':
    case 'clip':
    case 'link':
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
      return part;
    case 'picture':
    case 'document':
    case 'sound':
    case 'clip':
    case 'link':
      return part.material === material ? { ...part, material: null } : part;
    case 'gallery':
      return { ...part, pictures: part.pictures.filter((id) => id !== material) };
  }
}

/** True when a reader would see nothing: such a part stays in the draft and is left out of every view. */
export function isEmptyPart(part: Part): boolean {
  return part.kind === 'words' ? plainText(part.text) === '' : materialsOf(part).length === 0;
}
