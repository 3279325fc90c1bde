import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';

/** Writes `.br` and `.gz` beside the studio's scripts and styles, which the server hands out as they are. */
export async function compressStudio(folder: string): Promise<void> {
  for (const name of await readdir(folder)) {
    if (!/\.(js|css|svg)$/.test(name)) continue;
    const contents = await readFile(join(folder, name));
    await writeFile(join(folder, `${name}.br`), brotliCompressSync(contents));
    await writeFile(join(folder, `${name}.gz`), gzipSync(contents, { level: 9 }));
  }
}
