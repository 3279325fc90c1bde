import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import subsetFont from 'subset-font';
import { doorTypeFile } from '../site/render/closed-page.tsx';

/** What the words of these pages are made of: ASCII, Latin-1 and the signs of four languages. */
const letters = String.fromCodePoint(
  ...Array.from({ length: 0x5f }, (_, at) => 0x20 + at),
  ...Array.from({ length: 0x60 }, (_, at) => 0xa0 + at),
  ...'–—‘’‚“”„…‹›œŒ'.split('').map((sign) => sign.charCodeAt(0)),
);

/**
 * Cuts the letters of the pages that stand before a site or in place of one: the same for all sites, since the bytes of such a page must
 * not tell whose it is.
 *
 * @param folder where the studio's files lie, which every server hands out
 */
export async function buildDoorType(folder: string): Promise<void> {
  const file = createRequire(import.meta.url).resolve(
    '@fontsource-variable/newsreader/files/newsreader-latin-opsz-normal.woff2',
  );
  const cut = await subsetFont(await readFile(file), letters, {
    targetFormat: 'woff2',
    keepFeatures: ['kern', 'liga', 'mark', 'ccmp'],
    variationAxes: { wght: { min: 400, max: 600 }, opsz: 20 },
  });
  await mkdir(folder, { recursive: true });
  await writeFile(join(folder, doorTypeFile), cut);
}
