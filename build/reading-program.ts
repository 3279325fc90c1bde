import { join } from 'node:path';
import { buildFaces } from './faces.ts';
import { buildLetters } from './letters.ts';
import { program } from './program.ts';

/** Bundles only what runs beside the server and looks into files and pictures, for tests and while developing. */
await program('server/reading/reading-main.ts', 'reading');
await program('server/looking/looking-worker.ts', 'looking');
await buildFaces(join(import.meta.dirname, '../dist/faces'));
await buildLetters(join(import.meta.dirname, '../dist/letters'));
