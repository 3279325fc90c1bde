import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { unzipSync } from 'fflate';
import { execFile } from 'node:child_process';
import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { promisify } from 'node:util';
import { type DemoStudio, openDemoStudio } from './support/demo-studio.ts';
import { Driver } from './support/studio-driver.ts';

/** The site as a folder, saved in Share and opened from a disk. */
let demo: DemoStudio;
let folder: string;
beforeAll(async () => {
  demo = await openDemoStudio();
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-folder-'));
});
afterAll(async () => {
  await demo.close();
  await rm(folder, { recursive: true, force: true });
});

test('opens from a disk: links, pictures and looks, and no server is asked', async () => {
  const { studio, rooms } = demo;
  await studio.page.goto(`${rooms}/share`);
  const save = await studio.page.waitForSelector('section[aria-labelledby=folder] a[download]');
  await save?.scrollIntoView();
  expect(await studio.axe()).toEqual([]);
  const base64 = await studio.page.evaluate(async () => {
    const link = document.querySelector('section[aria-labelledby=folder] a[download]');
    const bytes = new Uint8Array(await (await fetch(link?.getAttribute('href') ?? '')).arrayBuffer());
    return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
  });
  for (const [path, bytes] of Object.entries(unzipSync(Buffer.from(base64, 'base64')))) {
    await mkdir(dirname(join(folder, path)), { recursive: true });
    await writeFile(join(folder, path), bytes);
  }
  const context = await demo.browser.createBrowserContext();
  const reader = new Driver(await context.newPage());
  await reader.page.setViewport({ width: 1280, height: 800 });
  const asked: string[] = [];
  reader.page.on('request', (request) => asked.push(request.url()));
  await reader.page.goto(pathToFileURL(join(folder, 'index.html')).href, { waitUntil: 'load' });
  const follow = (end: string) =>
    Promise.all([
      reader.page.waitForNavigation(),
      reader.page.$eval(`a[href$="${end}"]`, (link) => (link as HTMLAnchorElement).click()),
    ]);
  await follow('tide-clock/index.html');
  expect(await reader.page.title()).toContain('Tide clock');
  expect(reader.page.url()).toMatch(/^file:/);
  const { seen, font } = await reader.page.evaluate(async () => {
    await document.fonts.ready;
    const pictures = [...document.images].filter(({ loading }) => loading !== 'lazy');
    return {
      seen: pictures.map(({ naturalWidth }) => naturalWidth > 0),
      font: [...document.fonts].some(({ status }) => status === 'loaded'),
    };
  });
  expect(seen.length).toBeGreaterThan(0);
  expect(seen).not.toContain(false);
  expect(font).toBe(true);
  await follow('about/index.html');
  await reader.reads('About');
  expect(asked.filter((url) => !/^(file|data):/.test(url))).toEqual([]);
});

test('is saved as one PDF, by the keyboard, with what the folder has', async () => {
  const { studio } = demo;
  await studio.page.bringToFront();
  const make = await studio.named('button', 'Make a PDF');
  await make.focus();
  await studio.page.keyboard.press('Enter');
  await studio.reads('Save the PDF');
  expect(await studio.axe()).toEqual([]);
  const base64 = await studio.page.evaluate(async () => {
    const link = [...document.querySelectorAll('a[download]')].find(
      ({ textContent }) => textContent === 'Save the PDF',
    );
    const bytes = new Uint8Array(await (await fetch(link?.getAttribute('href') ?? '')).arrayBuffer());
    return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
  });
  const path = join(folder, 'site.pdf');
  await writeFile(path, Buffer.from(base64, 'base64'));
  const told = async (program: string, ...given: string[]) =>
    (await promisify(execFile)(program, given, { maxBuffer: 64 * 1024 * 1024 })).stdout;
  expect(await told('qpdf', '--check', path)).toContain('No syntax or stream encoding errors found');
  const text = await told('pdftotext', '-layout', path, '-');
  const pages = text.split('\f');
  expect(pages[1]).toContain('Contents');
  // The number that the contents say is the page where the chapter is.
  const at = Number(/Tide clock +(\d+)/.exec(pages[1] ?? '')?.[1]);
  expect(pages[at - 1]).toMatch(/^\s*Tide clock/);
  expect(text).toContain('Why the hour was the wrong question');
  expect(text).not.toContain('Sailcloth satchel');
});
