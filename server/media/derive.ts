import type { Sharp } from 'sharp';
import { burntIn } from '#core/materials/fixes.ts';
import type { PictureSource } from '#core/gallery/picture-source.ts';
import type { BlobStore } from './blob-store.ts';
import { fromRaw } from './fixed-pixels.ts';
import { pixelsOf } from './pixels-of.ts';

/**
 * Widths, in pixels, in which a published picture is made; never wider than the original. 750 and 1200 fill the whole width
 * of a phone of 375 points at two pixels to a point, and of 400 points at three.
 */
const publishedWidths = [480, 750, 1200, 1600, 2400] as const;
/** For browsers of before WebP, one for small screens and one for large. */
const jpegWidths = [1200, 1600] as const;

export const publishedFormats = ['avif', 'webp', 'jpeg'] as const;
export type PublishedFormat = (typeof publishedFormats)[number];

/**
 * Counts up when the same recipe would give another picture, so that old results are not taken for new ones. Where only the
 * effort changes, what was made before is as good.
 */
const recipeVersion = 1;

export interface Recipe {
  key: string;
  format: PublishedFormat;
  widthPx: number;
}

export interface Derivative extends Recipe {
  hash: string;
  bytes: number;
  heightPx: number;
}

/** All files a published picture is made of; each recipe's key names the original, the fixes, the size and format. */
export function recipesFor(source: PictureSource): Recipe[] {
  const most = source.widthPx;
  const upTo = (widths: readonly number[]): number[] => {
    const fitting = widths.filter((width) => width < most);
    const largest = widths.at(-1) ?? most;
    return most <= largest ? [...fitting, most] : fitting;
  };
  const fixes = JSON.stringify(burntIn(source.fixes));
  const page = source.page === null ? '' : `page ${source.page} `;
  return publishedFormats.flatMap((format) =>
    upTo(format === 'jpeg' ? jpegWidths : publishedWidths).map((widthPx) => ({
      key: `${recipeVersion} ${source.original} ${page}${fixes} ${widthPx} ${format}`,
      format,
      widthPx,
    })),
  );
}

/** A published file from pixels. */
export async function encode(pixels: Sharp, format: PublishedFormat): Promise<Buffer> {
  switch (format) {
    case 'avif':
      // Two steps more of effort take five times as long for a tenth fewer bytes that look the same (docs/performance.md).
      return pixels.avif({ quality: 51, effort: 0 }).toBuffer();
    case 'webp':
      return pixels.webp({ quality: 76, effort: 2 }).toBuffer();
    case 'jpeg':
      return pixels.flatten({ background: '#ffffff' }).jpeg({ quality: 80, progressive: true }).toBuffer();
  }
}

/**
 * Makes files of a picture that do not exist yet: decodes the original once, with its fixes, and encodes every recipe
 * from those pixels. No metadata survives, since only pixels are handed on.
 */
export async function derivePicture(
  blobs: BlobStore,
  source: PictureSource,
  recipes: readonly Recipe[],
  signal?: AbortSignal,
): Promise<Derivative[]> {
  const widest = Math.max(...recipes.map((recipe) => recipe.widthPx));
  const decoded = await pixelsOf(blobs, source, widest);
  const { width, height } = decoded;
  return Promise.all(
    recipes.map(async (recipe) => {
      signal?.throwIfAborted();
      const heightPx = Math.max(1, Math.round((height * recipe.widthPx) / width));
      const pixels = fromRaw(decoded).resize(recipe.widthPx, heightPx, { fit: 'fill' });
      const contents = await encode(pixels, recipe.format);
      const hash = await blobs.put(contents);
      return { ...recipe, hash, bytes: contents.byteLength, heightPx };
    }),
  );
}
