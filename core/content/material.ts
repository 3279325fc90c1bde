import { z } from 'zod';
import { idSchema } from './id.ts';

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

/** Settings on the untouched original. The first cut carries the focus point; turn, crop and black-out follow. */
export const fixesSchema = z.object({
  /** Point kept in view when a picture is cropped, as shares of width and height. */
  focus: z.object({ x: z.number().min(0).max(1), y: z.number().min(0).max(1) }).optional(),
});
export type Fixes = z.infer<typeof fixesSchema>;

export const materialWordsSchema = z.object({
  title: z.string().max(160, 'A title can be at most 160 characters long.'),
  caption: z.string().max(600, 'A caption can be at most 600 characters long.'),
  alt: z.string().max(600, 'Alt text can be at most 600 characters long.'),
});

export const materialSchema = materialWordsSchema.extend({
  id: idSchema,
  kind: z.literal('picture'),
  /** SHA-256 of the original, hex. */
  original: z.string().regex(/^[0-9a-f]{64}$/),
  fileName: z.string().max(255),
  bytes: z.number().int().nonnegative(),
  /** ISO date and time without zone, as the camera wrote it; null when unknown. */
  takenOn: z.string().nullable(),
  facts: pictureFactsSchema,
  fixes: fixesSchema,
});
export type Material = z.infer<typeof materialSchema>;
