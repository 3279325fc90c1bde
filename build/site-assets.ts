import { createHash } from 'node:crypto';
import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { basename, extname, join } from 'node:path';
import esbuild from 'esbuild';
import postcss from 'postcss';
import { fontPairNames, type FontPairName } from '../core/look/font-pair-names.ts';
import { type FontPair, fontPairs } from '../core/look/font-pairs.ts';
import { themeNames, type ThemeName } from '../core/look/theme-names.ts';
import { asUnicodeRange, unicodeRange } from '../core/look/unicode-range.ts';
import { themes } from '../site/themes/themes.ts';
import type { SiteAssetsIndex } from '../server/publish/site-assets.ts';
import { cutFont, drawnFont, type FontFile, type UsedAxes } from './cut-font.ts';

const root = join(import.meta.dirname, '..');

/**
 * Fonts come with `font-display: swap` in their packages. A late swap moves the words under the reader's eyes, so
 * public pages use `optional` with a preload instead: the font is there for the first paint or for the next page.
 */
const optionalFonts: esbuild.Plugin = {
  name: 'optional-fonts',
  setup(build) {
    build.onLoad({ filter: /@fontsource-variable.*\.css$/ }, async ({ path }) => ({
      contents: (await readFile(path, 'utf8')).replaceAll('font-display: swap', 'font-display: optional'),
      loader: 'css',
    }));
  },
};

const shared = {
  absWorkingDir: root,
  bundle: true,
  minify: true,
  assetNames: '[name]-[hash]',
  target: ['chrome111', 'firefox113', 'safari16.4'],
  legalComments: 'none' as const,
  logLevel: 'warning' as const,
  write: false as const,
};

type Faces = SiteAssetsIndex['fonts'][FontPairName]['faces'];
type Drawn = SiteAssetsIndex['fonts'][FontPairName]['drawn'];
/** Saves a file and says under which name. */
type Keep = (name: string, contents: Uint8Array) => Promise<string>;

/** A face as a style sheet names it, with its whole file. */
interface SheetFace extends FontFile {
  rule: postcss.AtRule;
  family: string;
  italic: boolean;
  /** Name of the file. */
  file: string;
}

/**
 * The faces that a style sheet names.
 *
 * @param fonts the contents of the files it names, by name
 */
function facesOf(sheet: postcss.Root, fonts: ReadonlyMap<string, Uint8Array>): SheetFace[] {
  const faces: SheetFace[] = [];
  sheet.walkAtRules('font-face', (rule) => {
    const said = new Map<string, string>();
    rule.walkDecls(({ prop, value }) => void said.set(prop, value));
    const file = /url\("?\.\/([^")]+)"?\)/.exec(said.get('src') ?? '')?.[1] ?? '';
    const contents = fonts.get(file);
    if (!contents) throw new Error(`A face without a file: ${rule.toString()}`);
    faces.push({
      ...{ rule, file, contents: Buffer.from(contents) },
      family: said.get('font-family')?.replaceAll(/['"]/g, '') ?? '',
      italic: said.get('font-style') === 'italic',
      ranges: unicodeRange(said.get('unicode-range') ?? 'U+0-10FFFF'),
    });
  });
  return faces;
}

/** Cuts the faces of a sheet to what their pair uses of them, and names the cut files in the sheet. */
async function cutFonts(faces: readonly SheetFace[], axes: UsedAxes, keep: Keep): Promise<Faces> {
  const made: Faces = [];
  for (const { rule, file: whole, italic, ...font } of faces) {
    for (const [at, piece] of (await cutFont(font, axes)).entries()) {
      const name = whole.replace(/-[A-Z0-9]{8}(?=\.woff2$)/, at === 0 ? '' : '-beyond');
      const file = await keep(name, piece.contents);
      const cut = rule.clone();
      cut.walkDecls((declaration) => {
        if (declaration.prop === 'src') declaration.value = declaration.value.replace(whole, file);
        if (declaration.prop === 'unicode-range') declaration.value = asUnicodeRange(piece.ranges);
      });
      rule.before(cut);
      made.push({ file, italic, ranges: [...piece.ranges] });
    }
    rule.remove();
  }
  return made;
}

/** What résumés are set in: small, in two weights, as wide as the font comes. */
const resumeWeights = { regular: 400, strong: 650 } as const;
const resumePt = 11;

/**
 * Cuts from the same faces what is drawn without a browser: of headings their weight and of words a firm one for share pictures, and
 * of words two weights for résumés.
 */
async function drawnFonts(faces: readonly SheetFace[], pair: FontPair, keep: Keep): Promise<Drawn> {
  const { weights, widths, properties, opticalSize } = pair;
  const within = (weight: number) => Math.min(weights[1], Math.max(weights[0], weight));
  const drawn: Drawn = { display: [], text: [], regular: [], strong: [] };
  for (const use of ['display', 'text'] as const) {
    const [first = ''] = pair[use].split(',');
    const axes = {
      weight: within(use === 'display' ? Number(properties['display-wght']) : 500),
      ...(widths && { width: use === 'display' ? parseFloat(properties['display-wdth'] ?? '100') : 100 }),
      ...(opticalSize !== undefined && { opticalSize }),
    };
    for (const { family, italic, file, ...font } of faces)
      if (family === first.replaceAll("'", '') && !italic)
        drawn[use].push(
          await keep(file.replace(/-[A-Z0-9]{8}\.woff2$/, '-drawn.ttf'), await drawnFont(font, axes)),
        );
    if (drawn[use].length === 0) throw new Error(`No face of ${first} to draw with.`);
  }
  const [words = ''] = pair.text.split(',');
  for (const use of ['regular', 'strong'] as const) {
    const axes = {
      weight: within(resumeWeights[use]),
      ...(widths && { width: 100 }),
      ...(opticalSize !== undefined && { opticalSize: resumePt }),
    };
    for (const { family, italic, file, ...font } of faces)
      if (family === words.replaceAll("'", '') && !italic)
        drawn[use].push(
          await keep(file.replace(/-[A-Z0-9]{8}\.woff2$/, `-${use}.ttf`), await drawnFont(font, axes)),
        );
  }
  return drawn;
}

/**
 * Builds what every published site links to: one style sheet of each theme, the fonts of each pair, and what all looks share.
 * Each file is named by its content; an index tells the server which is which.
 */
export async function buildSiteAssets(out: string): Promise<void> {
  await rm(out, { recursive: true, force: true });
  await mkdir(out, { recursive: true });

  const save = async (name: string, contents: Uint8Array): Promise<string> => {
    const hash = createHash('sha256').update(contents).digest('hex').slice(0, 10);
    const hashed = `${basename(name, extname(name))}-${hash}${extname(name)}`;
    await writeFile(join(out, hashed), contents);
    return hashed;
  };
  const only = (
    { outputFiles }: { outputFiles: esbuild.OutputFile[] },
    ending: string,
  ): esbuild.OutputFile => {
    const file = outputFiles.find(({ path }) => path.endsWith(ending));
    if (!file) throw new Error(`The build made no ${ending} file.`);
    return file;
  };

  const theme = async (name: ThemeName) => {
    const folder = `./site/themes/${name}`;
    const styles = await esbuild.build({
      ...shared,
      outdir: out,
      stdin: {
        contents: `@import './site/styles/page.css'; @import './site/styles/base.css' layer(site); @import './site/parts/parts.css' layer(site); @import '${folder}/theme.css';`,
        loader: 'css',
        resolveDir: root,
        sourcefile: `${name}.css`,
      },
    });
    return { css: await save(`${name}.css`, only(styles, '.css').contents), slants: themes[name].slants };
  };

  const pair = async (name: FontPairName) => {
    const styles = await esbuild.build({
      ...shared,
      outdir: out,
      entryPoints: [`site/fonts/${name}.css`],
      loader: { '.woff2': 'file' },
      plugins: [optionalFonts],
    });
    const files = new Map(
      styles.outputFiles
        .filter(({ path }) => path.endsWith('.woff2'))
        .map(({ path, contents }) => [basename(path), contents]),
    );
    const sheet = postcss.parse(only(styles, '.css').text);
    const whole = facesOf(sheet, files);
    const faces = await cutFonts(whole, fontPairs[name], save);
    const drawn = await drawnFonts(whole, fontPairs[name], save);
    return { css: sheet.toString().trim(), faces, drawn };
  };

  const time = await esbuild.build({
    ...shared,
    outdir: out,
    stdin: {
      contents: `@import './site/parts/time.css' layer(site);`,
      loader: 'css',
      resolveDir: root,
      sourcefile: 'time.css',
    },
  });
  const print = await esbuild.build({ ...shared, outdir: out, entryPoints: ['site/styles/print.css'] });
  const lightbox = await esbuild.build({
    ...shared,
    outdir: out,
    entryPoints: { lightbox: 'site/enhance/lightbox.ts' },
    format: 'esm',
  });
  // The lightbox looks for its style sheet under its own name, so both carry the hash of the script.
  const lightboxJs = await save('lightbox.js', only(lightbox, '.js').contents);
  const lightboxCss = lightboxJs.replace(/\.js$/, '.css');
  await writeFile(join(out, lightboxCss), only(lightbox, '.css').contents);
  const enhance = await esbuild.build({
    ...shared,
    outdir: out,
    entryPoints: { enhance: 'site/enhance/main.ts' },
    format: 'esm',
    plugins: [
      {
        name: 'hashed-lightbox',
        setup(build) {
          build.onResolve({ filter: /lightbox\.ts$/ }, () => ({ path: `./${lightboxJs}`, external: true }));
        },
      },
    ],
  });
  const index: SiteAssetsIndex = {
    printCss: await save('print.css', only(print, '.css').contents),
    timeCss: await save('time.css', only(time, '.css').contents),
    enhance: await save('enhance.js', only(enhance, '.js').contents),
    lightbox: [lightboxJs, lightboxCss],
    themes: Object.fromEntries(
      await Promise.all(themeNames.map(async (name) => [name, await theme(name)] as const)),
    ) as SiteAssetsIndex['themes'],
    fonts: Object.fromEntries(
      await Promise.all(fontPairNames.map(async (name) => [name, await pair(name)] as const)),
    ) as SiteAssetsIndex['fonts'],
  };
  await writeFile(join(out, 'index.json'), `${JSON.stringify(index, null, 1)}\n`);
}

if (import.meta.filename === process.argv[1]) await buildSiteAssets(join(root, 'dist/site-assets'));
