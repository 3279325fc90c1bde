import { z } from 'zod';
import { documentFactsSchema } from './document.ts';
import { fixesSchema } from './fixes.ts';
import { idSchema } from '../id.ts';
import { linkFactsSchema } from './link.ts';
import { partialDateSchema } from '../dates/partial-date.ts';
import { provenanceSchema } from '../credits/provenance.ts';
import { tagsSchema } from './tags.ts';

export const pictureFormats = ['jpeg', 'png', 'webp', 'avif', 'gif', 'heic'] as const;

/** What import read from the bytes of a picture. Width and height are as seen, after the EXIF turn. */
export const pictureFactsSchema = z.object({
  format: z.enum(pictureFormats),
  widthPx: z.number().int().positive(),
  heightPx: z.number().int().positive(),
  /** EXIF orientation 1–8 as stored; the derives turn the pixels accordingly. */
  orientation: z.number().int().min(1).max(8),
  hasGps: z.boolean(),
  /** Average colour as #rrggbb, shown while the picture loads. */
  colour: z.string().regex(/^#[0-9a-f]{6}$/),
  /** Frames of a moving picture, which is shown still until somebody plays it; 1 for all others. */
  frames: z.number().int().positive().default(1),
});
export type PictureFacts = z.infer<typeof pictureFactsSchema>;

const soundFormats = ['mp3', 'm4a', 'ogg', 'wav', 'webm'] as const;
export const soundFactsSchema = z.object({
  format: z.enum(soundFormats),
  seconds: z.number().nonnegative(),
});
export type SoundFacts = z.infer<typeof soundFactsSchema>;

const clipFormats = ['mp4', 'webm'] as const;
export const clipFactsSchema = z.object({
  format: z.enum(clipFormats),
  seconds: z.number().nonnegative(),
  widthPx: z.number().int().positive(),
  heightPx: z.number().int().positive(),
});
export type ClipFacts = z.infer<typeof clipFactsSchema>;

/** A note has nothing to be read from: its words are what it is. */
export const noteFactsSchema = z.object({ format: z.literal('note') });

export const materialWordsSchema = z.object({
  title: z.string().max(160, 'A title can be at most 160 characters long.'),
  caption: z.string().max(600, 'A caption can be at most 600 characters long.'),
  alt: z.string().max(600, 'Alt text can be at most 600 characters long.'),
});

/** What a maker says about a material; all of it can be changed at any time. */
export const materialContentSchema = materialWordsSchema.extend({
  /** Read from the camera's EXIF at import, and the maker's to correct: a day, a month or only a year. */
  takenOn: partialDateSchema.nullable(),
  tags: tagsSchema,
  provenance: provenanceSchema,
  /** The project it was gathered for, before it stands on any page; null for a loose one. */
  project: idSchema.nullable(),
  fixes: fixesSchema,
  /** What is said or shown in a clip or sound, as WebVTT; or the words of a note. Empty when there is none. */
  transcript: z.string().max(200_000, 'This is more than can be kept here: at most 200,000 characters.'),
  /** Of slides: the PDF that shows them. Of a clip or a link: the picture that stands for it until it is opened. */
  shownBy: idSchema.nullable(),
});
export type MaterialContent = z.infer<typeof materialContentSchema>;

const base = materialContentSchema.extend({
  id: idSchema,
  /** SHA-256 of the original, hex: the file; of a link its address; of a note its words as they were first written. */
  original: z.string().regex(/^[0-9a-f]{64}$/),
  fileName: z.string().max(255),
  bytes: z.number().int().nonnegative(),
});

/** One thing gathered. Every kind is an untouched original with facts that import read from it. */
export const materialSchema = z.discriminatedUnion('kind', [
  base.extend({ kind: z.literal('picture'), facts: pictureFactsSchema }),
  base.extend({ kind: z.literal('document'), facts: documentFactsSchema }),
  base.extend({ kind: z.literal('sound'), facts: soundFactsSchema }),
  base.extend({ kind: z.literal('clip'), facts: clipFactsSchema }),
  base.extend({ kind: z.literal('link'), facts: linkFactsSchema }),
  base.extend({ kind: z.literal('note'), facts: noteFactsSchema }),
]);
export type Material = z.infer<typeof materialSchema>;
export type MaterialKind = Material['kind'];
export type MaterialOf<K extends MaterialKind> = Extract<Material, { kind: K }>;
export type MaterialFacts = Material['facts'];

export const isPicture = (material: Material): material is MaterialOf<'picture'> =>
  material.kind === 'picture';
