// The package brings no types, and every project that imports this file has to find ours.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./heic-decode.d.ts" />
import { open, readFile } from 'node:fs/promises';
import sharp, { type Sharp, type SharpOptions } from 'sharp';
import { Problem } from '../http/problem.ts';
import { fromRaw, rawOf, type RawPixels } from './raw-pixels.ts';

/** Brands of files that hold HEVC pictures (ISO/IEC 23008-12, annex B); those of AVIF are sharp's. */
const brands = new Set(['heic', 'heix', 'heim', 'heis', 'hevc', 'hevx']);

/** Whether a file is a picture as phones make it, by its first bytes. */
async function isHeic(path: string): Promise<boolean> {
  const file = await open(path);
  try {
    const start = Buffer.alloc(64);
    const { bytesRead } = await file.read(start, 0, start.length, 0);
    if (start.toString('latin1', 4, 8) !== 'ftyp') return false;
    const end = Math.min(bytesRead, start.readUInt32BE(0));
    // The brand, and after the version of it those it is compatible with.
    for (let at = 8; at + 4 <= end; at += at === 8 ? 8 : 4)
      if (brands.has(start.toString('latin1', at, at + 4))) return true;
    return false;
  } finally {
    await file.close();
  }
}

/** What was decoded last: a picture is mostly asked for several times in a row, and decoding takes seconds. */
let last: { path: string; pixels: RawPixels } | null = null;

/**
 * Pixels of a HEIC picture as it is to be seen: turned as the file says, which is done by the decoder (irot and imir), so
 * that the EXIF orientation says nothing more.
 *
 * @param mostPixels a picture with more is refused before it is decoded
 * @throws Problem when it is too large
 */
export async function heicPixels(path: string, mostPixels = Infinity): Promise<RawPixels> {
  if (last?.path === path) return last.pixels;
  // Fetched when the first of them comes: the decoder is megabytes of WebAssembly.
  const { default: decode } = await import('heic-decode');
  const images = await decode.all({ buffer: await readFile(path) });
  try {
    const [main] = images;
    if (!main) throw new Error('no picture in it');
    const count = main.width * main.height;
    if (count > mostPixels) throw tooManyPixels(count, mostPixels);
    const { width, height, data } = await main.decode();
    const decoded = { data: Buffer.from(data.buffer, data.byteOffset, data.byteLength), width, height };
    const pixels = rawOf(
      await fromRaw({ ...decoded, channels: 4 })
        .removeAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true }),
    );
    last = { path, pixels };
    return pixels;
  } finally {
    images.dispose();
  }
}

export const tooManyPixels = (count: number, most: number): Problem =>
  new Problem(
    413,
    'too-many-pixels',
    `This picture has ${Math.round(count / 1_000_000)} megapixels; the most is ${Math.round(most / 1_000_000)}. Save it smaller and add it again.`,
  );

/** A picture file ready for sharp, whichever of the kinds that are taken it is. */
export async function openPicture(source: string | Buffer, options: SharpOptions): Promise<Sharp> {
  if (typeof source === 'string' && (await isHeic(source))) return fromRaw(await heicPixels(source));
  return sharp(source, options);
}
