import { copyFile, mkdir } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { lettersOf } from '../server/inside/recogniser.ts';

const { resolve } = createRequire(import.meta.url);

/** Puts what letters look like in each language into one folder, where what reads them wants it. */
export async function buildLetters(to: string): Promise<void> {
  await mkdir(to, { recursive: true });
  for (const name of Object.values(lettersOf)) {
    const from = dirname(resolve(`@tesseract.js-data/${name}/package.json`));
    const file = `${name}.traineddata.gz`;
    await copyFile(join(from, '4.0.0_best_int', file), join(to, file));
  }
}
