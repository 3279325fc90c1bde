import { createReadStream } from 'node:fs';
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import pLimit from 'p-limit';
import { decodingWidth } from '../server/media/decoding-width.ts';
import { importMaterial } from '../server/media/import-material.ts';
import { previewSizes } from '#contract/material-paths.ts';
import { benchServer } from './bench-server.ts';
import { milliseconds, type Row, timed } from './table.ts';

const demo = join(import.meta.dirname, '../demo/pictures');
const count = 24;
const rounds = 8;
/** As many as the studio sends at a time. */
const atOnce = 4;

/** Photographs of 12 megapixels, made from the demo's. */
async function twelveMegapixels(): Promise<Buffer[]> {
  const sources = (await readdir(demo, { recursive: true })).filter((name) => name.endsWith('.jpg')).sort();
  const photos: Buffer[] = [];
  for (let at = 0; at < count; at++)
    photos.push(
      await sharp(join(demo, sources[at % sources.length] ?? ''))
        .resize(4000, 3000, { fit: 'cover' })
        .jpeg({ quality: 88 })
        .toBuffer(),
    );
  return photos;
}

/** The photographs as files that no round had before: a comment is added after the end of the picture. */
async function writeRound(folder: string, photos: readonly Buffer[], round: number): Promise<string[]> {
  return Promise.all(
    photos.map(async (photo, at) => {
      const path = join(folder, `${round}-${at}.jpg`);
      await writeFile(path, Buffer.concat([photo, Buffer.from(`round ${round} of ${at}`)]));
      return path;
    }),
  );
}

/** The same derivatives with nothing around them: decode once, the two previews and those of its average colour. */
async function bareSharp(path: string, out: string): Promise<void> {
  const [small, large] = previewSizes;
  const { data, info } = await sharp(path)
    .autoOrient()
    .resize({ width: large, height: large, fit: 'inside', withoutEnlargement: true })
    .raw()
    .toBuffer({ resolveWithObject: true });
  const raw = { raw: { width: info.width, height: info.height, channels: info.channels } };
  await Promise.all([
    sharp(data, raw)
      .resize(small, small, { fit: 'inside' })
      .webp({ quality: 76, effort: 2 })
      .toFile(`${out}-s.webp`),
    sharp(data, raw).webp({ quality: 76, effort: 2 }).toFile(`${out}-l.webp`),
    sharp(data, raw).resize(48, 48, { fit: 'inside' }).ensureAlpha().raw().toBuffer(),
  ]);
}

/**
 * Import of 24 photos of 12 megapixels against the same derivatives in bare sharp, in turns. The fastest round of each
 * counts: what other work on the machine adds differs from round to round by more than the two differ.
 */
export async function benchImport(): Promise<Row> {
  const folder = await mkdtemp(join(tmpdir(), 'kite-wall-photos-'));
  const photos = await twelveMegapixels();
  const server = await benchServer();
  const ours: number[] = [];
  const bare: number[] = [];
  for (let round = 0; round < rounds; round++) {
    const files = await writeRound(folder, photos, round);
    // Both from a warm disk cache.
    for (const file of files) await readFile(file);
    const queue = pLimit(decodingWidth());
    bare.push(await timed(() => Promise.all(files.map((file) => queue(() => bareSharp(file, file))))));
    const arriving = pLimit(atOnce);
    const deps = { ...server.publishing, limits: server.config };
    ours.push(
      await timed(() =>
        Promise.all(
          files.map((file) =>
            arriving(() =>
              importMaterial(deps, server.scope, { name: file, stream: createReadStream(file) }),
            ),
          ),
        ),
      ),
    );
  }
  await server.close();
  await rm(folder, { recursive: true, force: true });
  const ratio = Math.min(...ours) / Math.min(...bare);
  return {
    what: `import of ${count} photos of 12 megapixels`,
    ours: milliseconds(Math.min(...ours)),
    against: 'the same derivatives in bare sharp',
    other: milliseconds(Math.min(...bare)),
    ratio,
    wanted: 'at most 1.25 times',
    reached: ratio <= 1.25,
  };
}
