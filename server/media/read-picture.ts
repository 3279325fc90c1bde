import exifr from 'exifr';
import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { previewSizes } from '#contract/material-paths.ts';
import { partialDateSchema } from '#core/dates/partial-date.ts';
import type { PictureFacts } from '#core/materials/material.ts';
import { Problem } from '../http/problem.ts';
import { heicPixels, tooManyPixels } from './heic.ts';
import { fromRaw, rawOf } from './raw-pixels.ts';
import { type Preview, previewFrom } from './preview-from.ts';

export interface ReadPicture {
  facts: PictureFacts;
  takenOn: string | null;
  previews: Preview[];
}

/** EXIF dates have no zone: "2025:11:13 10:04:00" becomes "2025-11-13T10:04:00". */
function isoDate(exifDate: unknown): string | null {
  const match =
    typeof exifDate === 'string' && /^(\d{4}):(\d\d):(\d\d)[ T](\d\d):(\d\d):(\d\d)/.exec(exifDate);
  if (!match || match[1] === '0000') return null;
  // A camera whose clock was never set writes dates that do not exist.
  const read = partialDateSchema.safeParse(
    `${match[1]}-${match[2]}-${match[3]}T${match[4]}:${match[5]}:${match[6]}`,
  );
  return read.success ? read.data : null;
}

/**
 * The EXIF block of a HEIC file. Encoders differ in what stands before it (ISO/IEC 23008-12, annex A: an offset, and in
 * practice the six letters of JPEG's marker or nothing), so it is looked for by how a TIFF file begins.
 */
function exifIn(file: Buffer): Buffer | undefined {
  const named = file.indexOf('Exif\0\0', 0, 'latin1');
  for (const start of ['MM\0*', 'II*\0']) {
    const at = file.indexOf(start, Math.max(0, named), 'latin1');
    if (at >= 0) return file.subarray(at);
  }
  return undefined;
}

async function readExif(exif: Buffer | undefined): Promise<{ takenOn: string | null; hasGps: boolean }> {
  if (!exif) return { takenOn: null, hasGps: false };
  // The block starts with "Exif\0\0"; what follows is a TIFF file of its own.
  const tiff = exif.subarray(0, 4).toString('latin1') === 'Exif' ? exif.subarray(6) : exif;
  try {
    const read = (await exifr.parse(tiff, { gps: true, reviveValues: false, mergeOutput: true })) as
      Record<string, unknown> | undefined;
    return {
      takenOn: isoDate(read?.['DateTimeOriginal']) ?? isoDate(read?.['CreateDate']),
      hasGps: read?.['GPSLatitude'] !== undefined || read?.['latitude'] !== undefined,
    };
  } catch {
    // Broken EXIF is common and harms nothing: the date is simply not known.
    return { takenOn: null, hasGps: false };
  }
}

const hex = (value: number): string => Math.round(value).toString(16).padStart(2, '0');

/**
 * Reads a picture file: decodes it once, and makes the studio's previews and its average colour. Leaves the file
 * as it is.
 *
 * @param mostPixels a picture with more is refused before it is decoded
 * @throws Problem with a sentence for the maker: too large, broken or cut off
 */
export async function readPicture(
  path: string,
  format: PictureFacts['format'],
  mostPixels: number,
): Promise<ReadPicture> {
  try {
    const heic = format === 'heic' ? await heicPixels(path, mostPixels) : null;
    const source = heic
      ? fromRaw(heic)
      : sharp(path, { limitInputPixels: false, failOn: 'error', sequentialRead: true });
    const meta = await source.metadata();
    const count = meta.width * meta.height;
    if (count > mostPixels) throw tooManyPixels(count, mostPixels);
    const orientation = meta.orientation ?? 1;
    const onItsSide = orientation >= 5;
    const exif = await readExif(heic ? exifIn(await readFile(path)) : meta.exif);

    const [small, large] = previewSizes;
    const decoded = await source
      .autoOrient()
      .resize({ width: large, height: large, fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb')
      .raw()
      .toBuffer({ resolveWithObject: true });
    const pixels = rawOf(decoded);
    const tiny = fromRaw(pixels)
      .resize({ width: 48, height: 48, fit: 'inside', withoutEnlargement: true })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const [previewSmall, previewLarge, thumb] = await Promise.all([
      previewFrom(pixels, small),
      previewFrom(pixels, large),
      tiny,
    ]);
    const sums = [0, 0, 0];
    for (let at = 0; at < thumb.data.length; at += 4)
      for (const channel of [0, 1, 2]) sums[channel] = (sums[channel] ?? 0) + (thumb.data[at + channel] ?? 0);
    const dots = thumb.data.length / 4;
    return {
      facts: {
        format,
        widthPx: onItsSide ? meta.height : meta.width,
        heightPx: onItsSide ? meta.width : meta.height,
        orientation,
        hasGps: exif.hasGps,
        colour: `#${sums.map((sum) => hex(sum / dots)).join('')}`,
        frames: meta.pages ?? 1,
      },
      takenOn: exif.takenOn,
      previews: [previewSmall, previewLarge],
    };
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw new Problem(
      422,
      'broken',
      'This picture is broken or was cut off on the way, so it cannot be shown whole. Copy it from the camera or phone again.',
    );
  }
}
