import exifr from 'exifr';
import { fileTypeFromFile } from 'file-type';
import sharp from 'sharp';
import { rgbaToThumbHash } from 'thumbhash';
import { previewSizes, type PreviewSize } from '#contract/preview-path.ts';
import { partialDateSchema } from '#core/content/partial-date.ts';
import type { Material } from '#core/content/material.ts';
import { Problem } from '../http/problem.ts';

const formats: Record<string, Material['facts']['format']> = {
  'image/jpeg': 'jpeg',
  'image/png': 'png',
  'image/webp': 'webp',
  'image/avif': 'avif',
};

export interface ReadPicture {
  facts: Material['facts'];
  takenOn: string | null;
  previews: { size: PreviewSize; contents: Buffer; widthPx: number; heightPx: number }[];
}

async function formatOf(path: string): Promise<Material['facts']['format']> {
  const type = await fileTypeFromFile(path);
  const format = type && formats[type.mime];
  if (format) return format;
  if (type?.mime === 'image/heic' || type?.mime === 'image/heif')
    throw new Problem(
      415,
      'heic',
      'This is a HEIC picture, which browsers cannot show. On the phone, set the camera to “most compatible”, or share the photo as JPEG, then add it again.',
    );
  if (type?.mime.startsWith('image/'))
    throw new Problem(
      415,
      'kind-of-picture',
      `This is a ${type.ext.toUpperCase()} picture. Save it as JPEG, PNG, WebP or AVIF and add it again.`,
    );
  throw new Problem(
    415,
    'not-a-picture',
    'What is in this file is not a JPEG, PNG, WebP or AVIF picture, whatever its name says. Check that it opens on your computer.',
  );
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
 * Reads a picture file by its content and never by its name: decides what it is, decodes it once, and makes the
 * studio's previews, its average colour and a ThumbHash. Leaves the file as it is.
 *
 * @param mostPixels a picture with more is refused before it is decoded
 * @throws Problem with a sentence for the maker: not a picture, HEIC, too large, broken or cut off
 */
export async function readPicture(path: string, bytes: number, mostPixels: number): Promise<ReadPicture> {
  if (bytes === 0)
    throw new Problem(422, 'empty', 'This file is empty: 0 bytes. Copy it from the camera or phone again.');
  const format = await formatOf(path);
  try {
    const source = sharp(path, { limitInputPixels: false, failOn: 'error', sequentialRead: true });
    const meta = await source.metadata();
    const pixels = meta.width * meta.height;
    if (pixels > mostPixels)
      throw new Problem(
        413,
        'too-many-pixels',
        `This picture has ${Math.round(pixels / 1_000_000)} megapixels; the most is ${Math.round(mostPixels / 1_000_000)}. Save it smaller and add it again.`,
      );
    const orientation = meta.orientation ?? 1;
    const onItsSide = orientation >= 5;
    const exif = await readExif(meta.exif);

    const [small, large] = previewSizes;
    const decoded = await source
      .autoOrient()
      .resize({ width: large, height: large, fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb')
      .raw()
      .toBuffer({ resolveWithObject: true });
    const raw = {
      raw: { width: decoded.info.width, height: decoded.info.height, channels: decoded.info.channels },
    };
    const encode = async (size: PreviewSize) => {
      const made = await sharp(decoded.data, raw)
        .resize({ width: size, height: size, fit: 'inside', withoutEnlargement: true })
        .webp({ quality: 76, effort: 2 })
        .toBuffer({ resolveWithObject: true });
      return { size, contents: made.data, widthPx: made.info.width, heightPx: made.info.height };
    };
    const tiny = sharp(decoded.data, raw)
      .resize({ width: 48, height: 48, fit: 'inside', withoutEnlargement: true })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const [previewSmall, previewLarge, thumb] = await Promise.all([encode(small), encode(large), tiny]);
    const sums = [0, 0, 0];
    for (let at = 0; at < thumb.data.length; at += 4)
      for (const channel of [0, 1, 2]) sums[channel] = (sums[channel] ?? 0) + (thumb.data[at + channel] ?? 0);
    const count = thumb.data.length / 4;
    const hash = rgbaToThumbHash(thumb.info.width, thumb.info.height, thumb.data);
    return {
      facts: {
        format,
        widthPx: onItsSide ? meta.height : meta.width,
        heightPx: onItsSide ? meta.width : meta.height,
        orientation,
        hasGps: exif.hasGps,
        colour: `#${sums.map((sum) => hex(sum / count)).join('')}`,
        thumbhash: Buffer.from(hash).toString('base64'),
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
