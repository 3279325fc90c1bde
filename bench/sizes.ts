import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { FontPairName } from '#core/look/font-pair-names.ts';
import { asTheThemeComes } from '#core/look/look.ts';
import { fontsOf } from '#core/look/fonts-of.ts';
import { lookRules } from '#core/look/look-rules.ts';
import { themeNames, type ThemeName } from '#core/look/theme-names.ts';
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

/** A script and all that it cannot run without, by their names in the folder. */
async function withImports(folder: string, first: readonly string[]): Promise<Set<string>> {
  const all = new Set<string>();
  const wanted = [...first];
  for (let name = wanted.pop(); name !== undefined; name = wanted.pop()) {
    if (all.has(name)) continue;
    all.add(name);
    const code = await readFile(join(folder, name), 'utf8');
    for (const match of code.matchAll(/(?:from|import)\s?[`"']\.\/([^`"']+\.js)[`"']/g))
      if (!code.slice(0, match.index).endsWith('import(')) wanted.push(`assets/${match[1]}`);
  }
  return all;
}

/** What each room adds to what is there already, at most so much, in KB: no more than a little above what it does now. */
const rooms = {
  projects: 57,
  gather: 105,
  // With its editor of words it is the largest; the primitives it shares with nobody in the first load count here.
  // The colours of a look are worked out here as well, since the page is drawn in them.
  compose: 159,
  'words-in-place': 130,
  look: 103,
  about: 68,
  'resume-desk': 44,
  feedback: 4,
  share: 20,
  'contact-sheet': 39,
};

/** What a reader and a maker have to fetch before they see something. */
export async function benchSizes(): Promise<Row[]> {
  const site = join(root, 'dist/site-assets');
  const index = JSON.parse(await readFile(join(site, 'index.json'), 'utf8')) as {
    enhance: string;
    themes: Record<ThemeName, { css: string }>;
    fonts: Record<FontPairName, { css: string }>;
  };
  const studio = join(root, 'dist/studio');
  const html = await readFile(join(studio, 'index.html'), 'utf8');
  const scripts = [...html.matchAll(/(?:src|href)="\/studio\/(assets\/[^"]+\.js)"/g)].map(
    (match) => match[1] ?? '',
  );
  if (scripts.length === 0) throw new Error(`No script in ${(await readdir(studio)).join(', ')}`);
  const first = await withImports(studio, scripts);
  const names = await readdir(join(studio, 'assets'));
  const ofRooms: Row[] = [];
  for (const [room, most] of Object.entries(rooms)) {
    const own = names.filter((name) => name.replace(/-[\w-]{8}\.js$/, '') === room);
    if (own.length !== 1) throw new Error(`${own.length} scripts are called ${room}.`);
    const all = await withImports(studio, [`assets/${own[0]}`]);
    const more = [...all].filter((name) => !first.has(name));
    ofRooms.push(row(`what ${room} adds`, await gzipped(studio, more), most));
  }
  const sheets: Row[] = [];
  for (const theme of themeNames) {
    // As a publish puts it together, in the theme as it comes.
    const look = { theme, ...asTheThemeComes };
    const own = await readFile(join(site, index.themes[theme].css), 'utf8');
    const sheet = index.fonts[fontsOf(look)].css + own + lookRules(look, '[data-theme].site');
    sheets.push(row(`style sheet of a public page, ${theme}`, gzipSync(sheet, { level: 9 }).byteLength, 12));
  }
  return [
    ...sheets,
    row('script of a public page', await gzipped(site, [index.enhance]), 8),
    row('script of the studio’s first load', await gzipped(studio, [...first]), 182),
    ...ofRooms,
  ];
}
