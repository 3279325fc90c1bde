import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import sharp, { type OutputInfo, type Sharp } from 'sharp';
import { ssim } from 'ssim.js';
import { encode, publishedFormats, type PublishedFormat } from '../server/media/derive.ts';
import type { Row } from './table.ts';

const demo = join(import.meta.dirname, '../demo/pictures');
const widthPx = 960;

/** How the files were made before, to be compared with. */
const before: Record<PublishedFormat, (pixels: Sharp) => Promise<Buffer>> = {
  avif: (pixels) => pixels.avif({ quality: 52, effort: 2 }).toBuffer(),
  webp: (pixels) => pixels.webp({ quality: 76, effort: 3 }).toBuffer(),
  jpeg: (pixels) => pixels.jpeg({ quality: 80, progressive: true }).toBuffer(),
};

interface Made {
  ms: number;
  bytes: number;
  /** Mean structural similarity to the pixels it was made from (Wang et al. 2004). */
  similarity: number;
}

async function made(
  pixels: { data: Buffer; info: OutputInfo },
  encoder: (pixels: Sharp) => Promise<Buffer>,
): Promise<Made> {
  const { width, height, channels } = pixels.info;
  const start = performance.now();
  const contents = await encoder(sharp(pixels.data, { raw: { width, height, channels } }));
  const ms = performance.now() - start;
  const rgba = async (input: Sharp) => ({
    data: new Uint8ClampedArray(await input.ensureAlpha().raw().toBuffer()),
    width,
    height,
  });
  const { mssim } = ssim(
    await rgba(sharp(pixels.data, { raw: { width, height, channels } })),
    await rgba(sharp(contents)),
  );
  return { ms, bytes: contents.byteLength, similarity: mssim };
}

/** Time, size and likeness of published files, beside how they were made before. */
export async function benchEncoders(): Promise<Row[]> {
  const names = (await readdir(demo, { recursive: true })).filter((name) => name.endsWith('.jpg')).sort();
  const rows: Row[] = [];
  for (const format of publishedFormats) {
    const [now, then]: [Made[], Made[]] = [[], []];
    for (const name of names.filter((_, at) => at % 2 === 0)) {
      const pixels = await sharp(join(demo, name))
        .autoOrient()
        .resize(widthPx)
        .raw()
        .toBuffer({ resolveWithObject: true });
      then.push(await made(pixels, before[format]));
      now.push(await made(pixels, (one) => encode(one, format)));
    }
    const total = (list: readonly Made[], of: keyof Made) => list.reduce((sum, one) => sum + one[of], 0);
    const words = (list: readonly Made[]) =>
      `${(total(list, 'ms') / list.length).toFixed(0)} ms, ${(total(list, 'bytes') / list.length / 1000).toFixed(1)} KB, SSIM ${(total(list, 'similarity') / list.length).toFixed(4)}`;
    rows.push({
      what: `a published ${format} of ${widthPx} px, mean of ${now.length} pictures`,
      ours: words(now),
      against: 'as it was made before',
      other: words(then),
      ratio: total(now, 'ms') / total(then, 'ms'),
      wanted: 'no limit set',
      reached: true,
    });
  }
  return rows;
}
