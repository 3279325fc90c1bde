import { createHash } from 'node:crypto';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { build as vite } from 'vite';

const root = join(import.meta.dirname, '..');

/** What Vite says of a file it made, as far as it is asked here. */
interface Made {
  file: string;
  imports?: string[];
  dynamicImports?: string[];
  css?: string[];
  assets?: string[];
}

/** The files that a page needs to be drawn, with all they import. */
function filesOf(manifest: Record<string, Made>, page: string): string[] {
  const found = new Set<string>();
  const seen = new Set<string>();
  const add = (name: string) => {
    const made = manifest[name];
    if (!made || seen.has(name)) return;
    seen.add(name);
    for (const file of [made.file, ...(made.css ?? []), ...(made.assets ?? [])]) found.add(file);
    for (const next of [...(made.imports ?? []), ...(made.dynamicImports ?? [])]) add(next);
  };
  add(page);
  // Of the fonts those that a screen in English is set in; others come from the network, or the device has its own.
  return [...found].filter((file) => !file.endsWith('.woff2') || /-latin-wght-normal/.test(file)).sort();
}

/**
 * What makes the screen for capturing an app of its own: its worker, which keeps the files of the screen on the device and takes what
 * other apps share, its manifest (W3C Web Application Manifest), and its pictures.
 */
export async function buildCaptureApp(studio: string): Promise<void> {
  const manifest = JSON.parse(await readFile(join(studio, '.vite/manifest.json'), 'utf8')) as Record<
    string,
    Made
  >;
  const page = await readFile(join(studio, 'capture/index.html'));
  const files = [
    { url: '/studio/capture/', revision: createHash('sha256').update(page).digest('hex').slice(0, 16) },
    // Named by their content already.
    ...filesOf(manifest, 'capture/index.html').map((file) => ({ url: `/studio/${file}`, revision: null })),
  ];
  await vite({
    configFile: false,
    logLevel: 'warn',
    root,
    define: { files: JSON.stringify(files), 'process.env.NODE_ENV': '"production"' },
    build: {
      outDir: join(studio, 'capture'),
      emptyOutDir: false,
      copyPublicDir: false,
      target: ['chrome111', 'firefox113', 'safari16.4'],
      lib: {
        entry: 'studio/capture-worker/worker.ts',
        formats: ['iife'],
        name: 'captureWorker',
        fileName: () => 'worker.js',
      },
    },
  });
  const mark = await readFile(join(root, 'studio/kite.svg'));
  for (const size of [192, 512]) {
    const kite = await sharp(mark, { density: 1200 })
      .resize({ height: Math.round(size * 0.62) })
      .png()
      .toBuffer();
    await sharp({ create: { width: size, height: size, channels: 4, background: '#faf6ee' } })
      .composite([{ input: kite }])
      .png()
      .toFile(join(studio, `capture/icon-${size}.png`));
  }
  const icon = (size: number) => ({
    ...{ src: `icon-${size}.png`, sizes: `${size}x${size}`, type: 'image/png' },
    purpose: 'any maskable',
  });
  const app = {
    ...{ name: 'Kite Wall: capture', short_name: 'Capture', lang: 'en', id: '/studio/capture/' },
    description: 'Keeps what happens while the work goes on, with or without a network.',
    ...{ start_url: './', scope: './', display: 'standalone' },
    ...{ background_color: '#faf6ee', theme_color: '#22304b' },
    icons: [icon(192), icon(512)],
    share_target: {
      ...{ action: 'share', method: 'POST', enctype: 'multipart/form-data' },
      params: {
        ...{ title: 'title', text: 'text', url: 'url' },
        files: [
          {
            name: 'files',
            accept: ['image/*', 'audio/*', 'video/*', 'text/*', 'application/pdf', '.docx', '.odt', '.pptx'],
          },
        ],
      },
    },
  };
  await writeFile(join(studio, 'capture/app.webmanifest'), JSON.stringify(app, null, 1));
}
