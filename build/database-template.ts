import { mkdir, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { packTemplate } from '../server/db/connect.ts';

const root = join(import.meta.dirname, '..');

/** Packs an empty database with all migrations applied, so that a first start and every test begin quickly. */
export async function buildDatabaseTemplate(out: string): Promise<void> {
  const packed = await packTemplate(join(root, 'server/db/migrations'));
  await mkdir(dirname(out), { recursive: true });
  await writeFile(out, Buffer.from(await packed.arrayBuffer()));
}

if (import.meta.filename === process.argv[1])
  await buildDatabaseTemplate(join(root, 'dist/pglite-template.tar.gz'));
