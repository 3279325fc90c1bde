import { rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { build as vite } from 'vite';
import { buildDatabaseTemplate } from './database-template.ts';
import { buildSiteAssets } from './site-assets.ts';
import { buildFaces } from './faces.ts';
import { buildLetters } from './letters.ts';
import { program } from './program.ts';
import { buildDoorType } from './door-type.ts';
import { buildCaptureApp } from './capture-app.ts';
import { compressStudio } from './compress-studio.ts';

const root = join(import.meta.dirname, '..');
const dist = join(root, 'dist');

/** Builds everything a start needs into dist/. */
export async function buildAll(): Promise<void> {
  await rm(dist, { recursive: true, force: true });
  await Promise.all([
    buildSiteAssets(join(dist, 'site-assets')),
    buildDatabaseTemplate(join(dist, 'pglite-template.tar.gz')),
    program('server/main.ts', 'server'),
    program('server/readers/reader-main.ts', 'reader'),
    program('server/reading/reading-main.ts', 'reading'),
    program('server/looking/looking-worker.ts', 'looking'),
    program('demo/seed-and-start.ts', 'demo'),
    buildFaces(join(dist, 'faces')),
    buildLetters(join(dist, 'letters')),
    vite({ root: join(root, 'studio'), configFile: join(root, 'vite.config.ts'), logLevel: 'warn' }),
  ]);
  await buildCaptureApp(join(dist, 'studio'));
  await buildDoorType(join(dist, 'studio/assets'));
  await compressStudio(join(dist, 'studio/assets'));
  // Written last: a build that was broken off is made again.
  await writeFile(join(dist, 'built'), '');
}

if (import.meta.filename === process.argv[1]) await buildAll();
