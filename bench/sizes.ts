import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { Row } from './table.ts';

const root = join(import.meta.dirname, '..');

async function gzipped(folder: string, names: readonly string[]): Promise<number> {
  let total = 0;
  for (const name of names) total += gzipSync(await readFile(join(folder, name)), { level: 9 }).byteLength;
  return total;
}

const row = (what: string, bytes: number, most: number): Row => ({
  what,
  ours: `${(bytes / 1024).toFixed(1)} KB`,
  against: 'the limit',
  other: `${most} KB`,
  ratio: bytes / 1024 / most,
  wanted: `at most ${most} KB gzipped`,
  reached: bytes <= most * 1024,
});

/** What a reader and a maker have to fetch before they see something. */
export async function benchSizes(): Promise<Row[]> {
  const site = join(root, 'dist/site-assets');
  const index = JSON.parse(await readFile(join(site, 'index.json'), 'utf8')) as {
    css: string;
    enhance: string;
  };
  const studio = join(root, 'dist/studio');
  const html = await readFile(join(studio, 'index.html'), 'utf8');
  const scripts = [...html.matchAll(/(?:src|href)="\/studio\/(assets\/[^"]+\.js)"/g)].map(
    (match) => match[1] ?? '',
  );
  if (scripts.length === 0) throw new Error(`No script in ${await readdir(studio)}`);
  return [
    row('style sheet of a public page', await gzipped(site, [index.css]), 15),
    row('script of a public page', await gzipped(site, [index.enhance]), 12),
    row('script of the studio’s first load', await gzipped(studio, scripts), 250),
  ];
}
