import { z } from 'zod';
import { fixesSchema } from './fixes.ts';
import { idSchema } from './id.ts';
import { partialDateSchema } from './partial-date.ts';
import { provenanceSchema } from './provenance.ts';
import { tagsSchema } from './tags.ts';

export const pictureFormats = ['jpeg', 'png', 'webp', 'avif'] as const;

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
  /** ThumbHash, base64. */
  thumbhash: z.string().max(80),
});
export type PictureFacts = z.infer<typeof pictureFactsSchema>;

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
});
export type MaterialContent = z.infer<typeof materialContentSchema>;

export const materialSchema = materialContentSchema.extend({
  id: idSchema,
  kind: z.literal('picture'),
  /** SHA-256 of the original, hex. */
  original: z.string().regex(/^[0-9a-f]{64}$/),
  fileName: z.string().max(255),
  bytes: z.number().int().nonnegative(),
  facts: pictureFactsSchema,
});
export type Material = z.infer<typeof materialSchema>;
