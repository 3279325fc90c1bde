import type { Material } from '#core/materials/material.ts';
import { pageSizePx } from '#core/materials/document.ts';
import type { Pixels } from '../faces/faces-worker.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { fixedPixels, fromRaw, type RawPixels } from '../media/fixed-pixels.ts';
import { pixelsOf } from '../media/pixels-of.ts';
import type { Readable } from './picture-readings.ts';

export type LookedInto = Extract<Material, { kind: 'picture' | 'document' }>;

/** A picture to look through, and of which material it is. */
export interface ToRead extends Readable {
  material: LookedInto;
  /** The page on which what is found there is told, from 0; null in a document that has no pages. */
  at: number | null;
}

/** Of one document at most so many pages and pictures are looked through: a scanned book is not somebody's papers. */
const mostOfDocument = 40;
/** The longest side of a picture in which words are read, in pixels; finer ones take longer and tell no more. */
const wordsSidePx = 2000;
/** And of one in which faces are looked for. */
const facesSidePx = 1200;

/**
 * What of a material is looked through: the picture, the pages of a document, or the pictures that stand in it.
 *
 * @param pictures hashes of those
 */
export function toRead(material: LookedInto, pictures: readonly string[]): ToRead[] {
  const { original, facts } = material;
  if (material.kind === 'picture') return [{ material, original, page: 0, at: 0 }];
  if ('pages' in facts && facts.pages.length > 0)
    return facts.pages.slice(0, mostOfDocument).map((_, page) => ({ material, original, page, at: page }));
  return pictures.slice(0, mostOfDocument).map((picture) => ({
    ...{ material, original: picture, page: 0, at: null },
  }));
}

/** As it lies in the file, where black-outs lie too. */
export async function pixelsToRead(
  blobs: BlobStore,
  { material, original, page, at }: ToRead,
): Promise<RawPixels> {
  const { facts } = material;
  if (at === null) return fixedPixels(blobs.pathOf(original), {}, wordsSidePx);
  const whole = 'pages' in facts ? facts.pages[page] && pageSizePx(facts.pages[page]) : facts;
  if (!whole) throw new Error(`No page ${page}.`);
  const { widthPx, heightPx } = whole;
  const scale = Math.min(1, wordsSidePx / Math.max(widthPx, heightPx));
  return pixelsOf(
    blobs,
    { original, page: material.kind === 'picture' ? null : page, fixes: {}, widthPx, heightPx },
    Math.max(1, Math.round(widthPx * scale)),
  );
}

/** What words are read in: without colours. */
export async function forWords(pixels: RawPixels): Promise<{ png: Buffer; width: number; height: number }> {
  const { data, info } = await fromRaw(pixels)
    .flatten({ background: '#ffffff' })
    .resize(wordsSidePx, wordsSidePx, { fit: 'inside', withoutEnlargement: true })
    .greyscale()
    .png({ compressionLevel: 1 })
    .toBuffer({ resolveWithObject: true });
  return { png: data, width: info.width, height: info.height };
}

/** What faces are looked for in. */
export async function forFaces(pixels: RawPixels): Promise<Pixels> {
  const { data, info } = await fromRaw(pixels)
    .flatten({ background: '#ffffff' })
    .resize(facesSidePx, facesSidePx, { fit: 'inside', withoutEnlargement: true })
    .toColourspace('srgb')
    .raw()
    .toBuffer({ resolveWithObject: true });
  if (info.channels === 3) return { data, width: info.width, height: info.height };
  throw new Error(`${info.channels} channels.`);
}
