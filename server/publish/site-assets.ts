import { readFile } from 'node:fs/promises';
import { extname, join } from 'node:path';
import { z } from 'zod';
import type { ManifestFile } from '#core/release/manifest.ts';
import type { SiteAssets } from '#site/render/page-input.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { storeText } from './store-text.ts';

const indexSchema = z.object({
  css: z.string(),
  printCss: z.string(),
  enhance: z.string(),
  lightbox: z.array(z.string()),
  fonts: z.array(z.string()),
  preloadFonts: z.array(z.string()),
});

const types: Record<string, string> = {
  '.css': 'text/css; charset=utf-8',
  '.js': 'text/javascript; charset=utf-8',
  '.woff2': 'font/woff2',
};

export interface StoredAssets {
  /** Paths below the entrance, for the pages to link to. */
  names: SiteAssets;
  /** The files themselves, by those paths. */
  files: Record<string, ManifestFile>;
}

/** Puts the built style sheets, fonts and scripts into the store once; every release refers to them. */
export async function storeAssets(folder: string, blobs: BlobStore): Promise<StoredAssets> {
  const index = indexSchema.parse(JSON.parse(await readFile(join(folder, 'index.json'), 'utf8')));
  const files: Record<string, ManifestFile> = {};
  for (const name of [index.css, index.printCss, index.enhance, ...index.lightbox, ...index.fonts]) {
    const contents = await readFile(join(folder, name));
    const type = types[extname(name)] ?? 'application/octet-stream';
    files[`assets/${name}`] =
      extname(name) === '.woff2'
        ? { hash: await blobs.put(contents), type, bytes: contents.byteLength, immutable: true }
        : { ...(await storeText(blobs, contents, type)), immutable: true };
  }
  return {
    names: {
      css: `assets/${index.css}`,
      printCss: `assets/${index.printCss}`,
      enhance: `assets/${index.enhance}`,
      preloadFonts: index.preloadFonts.map((font) => `assets/${font}`),
    },
    files,
  };
}
