import { z } from 'zod';
import { blurEffect, type GreyPicture } from './blur-effect.ts';
import { hashSidePx, lightShape, perceptualHash } from './perceptual-hash.ts';
import { patchSquarePx } from './shared-patches.ts';

/** What telling pictures apart is made from; read once from a small form of each picture. */
export const pictureFeaturesSchema = z.object({
  hash: z.string().regex(/^[0-9a-f]{16}$/),
  /** Direction of the low frequencies, see `lightShape`. */
  shape: z.array(z.number()),
  /** Mean colour of each field of a 4 × 4 grid: red, green, blue, 0 to 255. */
  colours: z.array(z.number().int().min(0).max(255)).length(48),
  /** 64 × 64 bytes of luminance, base64. */
  square: z.string(),
  /** Blur effect of the sharpest tile, 0 to 1. */
  blur: z.number().min(0).max(1),
  /** Mean luminance and the luminance that 95 of 100 pixels stay below, 0 to 255. */
  mean: z.number(),
  bright: z.number(),
});
export type PictureFeatures = z.infer<typeof pictureFeaturesSchema>;

/** The same picture in the small forms features are made from. */
export interface SmallForms {
  /** Longest side 480 px. */
  grey: GreyPicture;
  /** 32 × 32 and 64 × 64 bytes of luminance, whatever the picture's proportions. */
  hashSquare: Uint8Array;
  patchSquare: Uint8Array;
  /** 4 × 4 pixels of red, green and blue. */
  colours: Uint8Array;
}

/** Luminance that a share of the pixels stay below. */
function percentile(pixels: Uint8Array, share: number): number {
  const counts = new Uint32Array(256);
  for (const value of pixels) counts[value] = (counts[value] ?? 0) + 1;
  let seen = 0;
  for (let value = 0; value < 256; value++) {
    seen += counts[value] ?? 0;
    if (seen >= share * pixels.length) return value;
  }
  return 255;
}

const rounded = (value: number, places: number): number => Number(value.toFixed(places));

/**
 * Reads what tells a picture from others.
 *
 * @param toBase64 how bytes become text here
 * @throws RangeError when a form has not its size
 */
export function pictureFeatures(forms: SmallForms, toBase64: (bytes: Uint8Array) => string): PictureFeatures {
  const { grey, hashSquare, patchSquare, colours } = forms;
  if (
    hashSquare.length !== hashSidePx ** 2 ||
    patchSquare.length !== patchSquarePx ** 2 ||
    colours.length !== 48
  )
    throw new RangeError('A small form of the picture has not its size.');
  return {
    hash: perceptualHash(hashSquare),
    shape: lightShape(hashSquare).map((term) => rounded(term, 4)),
    colours: [...colours],
    square: toBase64(patchSquare),
    blur: rounded(blurEffect(grey).sharpestTile, 4),
    mean: rounded(grey.pixels.reduce((a, b) => a + b, 0) / grey.pixels.length, 1),
    bright: percentile(grey.pixels, 0.95),
  };
}
