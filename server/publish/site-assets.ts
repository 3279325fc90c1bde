import { readFile } from 'node:fs/promises';
import { extname, join } from 'node:path';
import { z } from 'zod';
import { themeNames, type ThemeName } from '#core/look/look.ts';
import { beyondAsciiIn, type Face, type Letters, usedFaces } from '#core/look/used-faces.ts';
import type { FileTree, ManifestFile } from '#core/release/manifest.ts';
import type { SiteAssets } from '#site/render/page-input.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { storeText } from './store-text.ts';

const faceSchema = z.object({
  file: z.string(),
  italic: z.boolean(),
  ranges: z.array(z.tuple([z.number(), z.number()]).readonly()),
});

/** What the build says of the files it made. */
const indexSchema = z.object({
  printCss: z.string(),
  enhance: z.string(),
  lightbox: z.array(z.string()),
  themes: z.record(
    z.enum(themeNames),
    z.object({
      css: z.string(),
      faces: z.array(faceSchema),
      slants: z.boolean(),
    }),
  ),
});
export type SiteAssetsIndex = z.infer<typeof indexSchema>;

const types: Record<string, string> = {
  '.css': 'text/css; charset=utf-8',
  '.js': 'text/javascript; charset=utf-8',
  '.woff2': 'font/woff2',
};

/** What pages in one theme link to. */
export interface ThemeAssets {
  /** Paths below the entrance, for the pages to link to. */
  names: Omit<SiteAssets, 'preloadFonts'>;
  /** Style sheets and scripts, by those paths. */
  files: FileTree;
  faces: (Face & { path: string; kept: ManifestFile })[];
  /** Whether its sheet slants words by itself. */
  slants: boolean;
}

export interface StoredAssets {
  themes: Record<ThemeName, ThemeAssets>;
  /** All files of all themes. */
  files: FileTree;
}

/** Of a theme's files those that pages with these letters may ask for: of its fonts only what holds one of them. */
export function usedAssets({ files, faces, slants }: ThemeAssets, letters: Letters): FileTree {
  const used = usedFaces(faces, { ...letters, italic: letters.italic || slants });
  return { ...files, ...Object.fromEntries(used.map(({ path, kept }) => [path, kept])) };
}

/** The letters of a page, from what it is made of as JSON. */
export const lettersIn = (input: string): Letters => ({
  beyondAscii: beyondAsciiIn(input),
  italic: input.includes('{"type":"italic"}'),
});

/** What a page with these letters links to; what its first paint needs is fetched before the style sheet is read. */
export function pageAssets({ names, faces }: ThemeAssets, { beyondAscii }: Letters): SiteAssets {
  return { ...names, preloadFonts: usedFaces(faces, { beyondAscii, italic: false }).map(({ path }) => path) };
}

/** Puts the built style sheets, fonts and scripts into the store once; every release refers to them. */
export async function storeAssets(folder: string, blobs: BlobStore): Promise<StoredAssets> {
  const index = indexSchema.parse(JSON.parse(await readFile(join(folder, 'index.json'), 'utf8')));
  const all: FileTree = {};
  const below = (name: string) => `assets/${name}`;
  const store = async (name: string): Promise<ManifestFile> => {
    const contents = await readFile(join(folder, name));
    const type = types[extname(name)] ?? 'application/octet-stream';
    return (all[below(name)] ??=
      extname(name) === '.woff2'
        ? { hash: await blobs.put(contents), type, bytes: contents.byteLength, immutable: true }
        : { ...(await storeText(blobs, contents, type)), immutable: true });
  };
  const shared: FileTree = {};
  for (const name of [index.printCss, index.enhance, ...index.lightbox])
    shared[below(name)] = await store(name);
  const themes: Partial<StoredAssets['themes']> = {};
  for (const theme of themeNames) {
    const { css, faces, slants } = index.themes[theme];
    const kept: ThemeAssets['faces'] = [];
    for (const { file, ...face } of faces) kept.push({ ...face, path: below(file), kept: await store(file) });
    themes[theme] = {
      names: {
        css: below(css),
        printCss: below(index.printCss),
        enhance: below(index.enhance),
      },
      files: { ...shared, [below(css)]: await store(css) },
      faces: kept,
      slants,
    };
  }
  return { themes: themes as StoredAssets['themes'], files: all };
}
