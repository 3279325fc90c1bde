import { createHash } from 'node:crypto';
import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { basename, extname, join } from 'node:path';
import esbuild from 'esbuild';

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

/**
 * Builds what every published site links to: style sheets, fonts and the enhancement script, each named by its
 * content, and an index that tells the server which is which.
 */
export async function buildSiteAssets(out: string): Promise<void> {
  await rm(out, { recursive: true, force: true });
  await mkdir(out, { recursive: true });
  const shared = {
    absWorkingDir: root,
    bundle: true,
    minify: true,
    metafile: true,
    outdir: out,
    assetNames: '[name]-[hash]',
    target: ['chrome111', 'firefox113', 'safari16.4'],
    legalComments: 'none' as const,
    logLevel: 'warning' as const,
  };
  const styles = await esbuild.build({
    ...shared,
    stdin: {
      contents: `@import './site/themes/broadsheet.fonts.css'; @import './site/styles/page.css'; @import './site/styles/base.css'; @import './site/parts/parts.css'; @import './site/themes/broadsheet.css';`,
      loader: 'css',
      resolveDir: root,
      sourcefile: 'broadsheet.css',
    },
    entryNames: 'broadsheet',
    loader: { '.woff2': 'file' },
    plugins: [optionalFonts],
    write: false,
  });
  const print = await esbuild.build({ ...shared, entryPoints: ['site/styles/print.css'], write: false });
  const lightbox = await esbuild.build({
    ...shared,
    entryPoints: { lightbox: 'site/enhance/lightbox.ts' },
    format: 'esm',
    write: false,
  });

  const files = new Map<string, string>();
  const save = async (name: string, contents: Uint8Array): Promise<string> => {
    const hash = createHash('sha256').update(contents).digest('hex').slice(0, 10);
    const hashed = `${basename(name, extname(name))}-${hash}${extname(name)}`;
    await writeFile(join(out, hashed), contents);
    files.set(name, hashed);
    return hashed;
  };

  const fonts: string[] = [];
  for (const file of styles.outputFiles ?? []) {
    if (!file.path.endsWith('.woff2')) continue;
    const name = basename(file.path);
    await writeFile(join(out, name), file.contents);
    fonts.push(name);
  }
  const only = (result: esbuild.BuildResult, ending: string): Uint8Array => {
    const file = result.outputFiles?.find((candidate) => candidate.path.endsWith(ending));
    if (!file) throw new Error(`The build made no ${ending} file.`);
    return file.contents;
  };
  await save('site.css', only(styles, '.css'));
  await save('print.css', only(print, '.css'));
  // The lightbox looks for its style sheet under its own name, so both carry the hash of the script.
  const lightboxJs = await save('lightbox.js', only(lightbox, '.js'));
  await writeFile(join(out, lightboxJs.replace(/\.js$/, '.css')), only(lightbox, '.css'));
  const enhance = await esbuild.build({
    ...shared,
    entryPoints: { enhance: 'site/enhance/main.ts' },
    format: 'esm',
    write: false,
    plugins: [
      {
        name: 'hashed-lightbox',
        setup(build) {
          build.onResolve({ filter: /lightbox\.ts$/ }, () => ({ path: `./${lightboxJs}`, external: true }));
        },
      },
    ],
  });
  await save('enhance.js', only(enhance, '.js'));
  // The faces that the first paint of an English page needs.
  const preloadFonts = fonts.filter(
    (font) => /latin-(opsz|wght)-normal/.test(font) && !/latin-ext/.test(font),
  );
  const index = {
    css: files.get('site.css'),
    printCss: files.get('print.css'),
    enhance: files.get('enhance.js'),
    lightbox: [lightboxJs, lightboxJs.replace(/\.js$/, '.css')],
    fonts,
    preloadFonts,
  };
  await writeFile(join(out, 'index.json'), `${JSON.stringify(index, null, 1)}\n`);
}

if (import.meta.filename === process.argv[1]) await buildSiteAssets(join(root, 'dist/site-assets'));
