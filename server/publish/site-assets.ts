import { readFile } from 'node:fs/promises';
import { extname, join } from 'node:path';
import { z } from 'zod';
import { createHash } from 'node:crypto';
import type { SeenPage } from '#core/access/seen-by.ts';
import { type FontPairName, fontPairNames } from '#core/look/font-pair-names.ts';
import { iconOf } from '#core/look/icon.ts';
import { fontPairs } from '#core/look/font-pairs.ts';
import type { PairLettering } from '#core/look/lettering.ts';
import type { Look } from '#core/look/look.ts';
import { fontsOf } from '#core/look/fonts-of.ts';
import { lookRules } from '#core/look/look-rules.ts';
import { themeNames, type ThemeName } from '#core/look/theme-names.ts';
import { beyondAsciiIn, type Face, type Letters, usedFaces } from '#core/look/used-faces.ts';
import type { FileTree, ManifestFile } from '#core/release/manifest.ts';
import type { SiteAssets } from '#site/render/page-input.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { ResumeFonts } from '../resume/resume-fonts.ts';
import { pairLettering } from './font-lettering.ts';
import { storeText } from './store-text.ts';

const faceSchema = z.object({
  file: z.string(),
  italic: z.boolean(),
  ranges: z.array(z.tuple([z.number(), z.number()]).readonly()),
});

/** What the build says of the files it made. */
const indexSchema = z.object({
  printCss: z.string(),
  /** Rules of parts that tell of time, which not every site has. */
  timeCss: z.string(),
  enhance: z.string(),
  lightbox: z.array(z.string()),
  themes: z.record(z.enum(themeNames), z.object({ css: z.string(), slants: z.boolean() })),
  /** Rules that name the files of a pair of fonts, and what those draw. */
  fonts: z.record(
    z.enum(fontPairNames),
    z.object({
      css: z.string(),
      faces: z.array(faceSchema),
      /** Fonts of one weight that share pictures are lettered with. */
      drawn: z.object({
        display: z.array(z.string()),
        text: z.array(z.string()),
        /** And what résumés are set in. */
        regular: z.array(z.string()),
        strong: z.array(z.string()),
      }),
    }),
  ),
});
export type SiteAssetsIndex = z.infer<typeof indexSchema>;

const types: Record<string, string> = {
  '.css': 'text/css; charset=utf-8',
  '.js': 'text/javascript; charset=utf-8',
  '.woff2': 'font/woff2',
};

/** What pages in one look link to. */
export interface LookAssets {
  /** Paths below the entrance, for the pages to link to. */
  names: Omit<SiteAssets, 'preloadFonts'>;
  /** Style sheets and scripts, by those paths. */
  files: FileTree;
  faces: StoredFonts['faces'];
  /** Whether its sheet slants words by itself. */
  slants: boolean;
  /** Letters beyond ASCII that its sheet sets by itself, before or after words. */
  signs: ReadonlySet<number>;
}

interface StoredFonts {
  css: string;
  /** What share pictures are lettered with. */
  lettering: PairLettering;
  /** What résumés are set in. */
  resume: ResumeFonts;
  faces: (Face & { path: string; kept: ManifestFile })[];
}

export interface StoredAssets {
  themes: Record<ThemeName, { css: string; slants: boolean }>;
  /** What is added to a theme's sheet where a page tells of time: a process, early and late, an agenda. */
  timeCss: string;
  fonts: Record<FontPairName, StoredFonts>;
  /** What every page links to, whatever its look. */
  shared: { printCss: string; enhance: string; files: FileTree };
  /** All files that are there from the start; the sheet of a look is made when it is asked for. */
  files: FileTree;
}

const ofTime: readonly SeenPage['parts'][number]['kind'][] = ['process', 'early-late', 'agenda'];

/** Whether a page of a view tells of time; whoever is shown no such part gets no rules that would tell of one. */
export const drawsTime = (pages: readonly Pick<SeenPage, 'parts'>[]): boolean =>
  pages.some(({ parts }) => parts.some(({ kind }) => ofTime.includes(kind)));

/** The one style sheet of a look, and where it stands below the entrance. */
export function sheetOfLook(
  { themes, fonts, timeCss }: Pick<StoredAssets, 'themes' | 'fonts' | 'timeCss'>,
  look: Look,
  withTime: boolean,
) {
  const rules = lookRules(look, `[data-theme].site,html[data-theme='${look.theme}']`);
  const text = fonts[fontsOf(look)].css + themes[look.theme].css + (withTime ? timeCss : '') + rules;
  const hash = createHash('sha256').update(text).digest('hex').slice(0, 10);
  return { path: `assets/${look.theme}-${hash}.css`, text };
}

/** The sign of a site in the tabs of a browser, and where it stands below the entrance. */
export function iconFile(look: Look, siteTitle: string): { path: string; text: string } {
  const text = iconOf(look, siteTitle);
  return { path: `assets/icon-${createHash('sha256').update(text).digest('hex').slice(0, 10)}.svg`, text };
}

/** Everything pages in a look link to; what is made for it is put into the store, where it is not there yet. */
export async function assetsOfLook(
  stored: StoredAssets,
  { look, title, withTime }: { look: Look; title: string; withTime: boolean },
  blobs: BlobStore,
): Promise<LookAssets> {
  const sheet = sheetOfLook(stored, look, withTime);
  const icon = iconFile(look, title);
  const file = async (text: string, type: string): Promise<ManifestFile> => ({
    ...(await storeText(blobs, Buffer.from(text), type)),
    immutable: true,
  });
  const { printCss, enhance, files } = stored.shared;
  return {
    names: { css: sheet.path, icon: icon.path, printCss, enhance },
    files: {
      ...files,
      [sheet.path]: await file(sheet.text, 'text/css; charset=utf-8'),
      [icon.path]: await file(icon.text, 'image/svg+xml'),
    },
    faces: stored.fonts[fontsOf(look)].faces,
    slants: stored.themes[look.theme].slants,
    signs: signsIn(sheet.text),
  };
}

/** Letters that a style sheet sets by itself, as they stand in it or as escapes (CSS Syntax, “Consume an escaped code point”). */
function signsIn(css: string): Set<number> {
  const escaped = Array.from(css.matchAll(/\\([0-9a-f]{2,6})/gi), ([, digits]) => parseInt(digits ?? '', 16));
  return new Set([...beyondAsciiIn(css), ...escaped.filter((point) => point > 0x7f)]);
}

/** Of a look's files those that pages with these letters may ask for: of its fonts only what holds one of them. */
export function usedAssets({ files, faces, slants, signs }: LookAssets, letters: Letters): FileTree {
  const beyondAscii = new Set([...letters.beyondAscii, ...signs]);
  const used = usedFaces(faces, { beyondAscii, italic: letters.italic || slants });
  return { ...files, ...Object.fromEntries(used.map(({ path, kept }) => [path, kept])) };
}

/** The letters of a page, from what it is made of as JSON. */
export const lettersIn = (input: string): Letters => ({
  beyondAscii: beyondAsciiIn(input),
  italic: input.includes('{"type":"italic"}'),
});

/**
 * What a page with these letters links to; what its first paint needs is fetched before the style sheet is read. Slanted letters
 * that words bring are further down; those a theme brings are the first that are read.
 */
export function pageAssets(
  { names, faces, slants }: Pick<LookAssets, 'names' | 'faces' | 'slants'>,
  { beyondAscii }: Letters,
): SiteAssets {
  const first = usedFaces(faces, { beyondAscii, italic: slants });
  return { ...names, preloadFonts: first.map(({ path }) => path) };
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
  const themes = Object.fromEntries(
    await Promise.all(
      themeNames.map(async (theme) => {
        const { css, slants } = index.themes[theme];
        return [theme, { css: await readFile(join(folder, css), 'utf8'), slants }] as const;
      }),
    ),
  ) as StoredAssets['themes'];
  const fonts: Partial<StoredAssets['fonts']> = {};
  for (const pair of fontPairNames) {
    const { css, faces, drawn } = index.fonts[pair];
    const kept: StoredFonts['faces'] = [];
    for (const { file, ...face } of faces) kept.push({ ...face, path: below(file), kept: await store(file) });
    fonts[pair] = {
      css,
      faces: kept,
      lettering: pairLettering(folder, drawn, fontPairs[pair]),
      resume: new ResumeFonts(folder, drawn),
    };
  }
  return {
    themes,
    timeCss: await readFile(join(folder, index.timeCss), 'utf8'),
    fonts: fonts as StoredAssets['fonts'],
    shared: { printCss: below(index.printCss), enhance: below(index.enhance), files: shared },
    files: all,
  };
}
