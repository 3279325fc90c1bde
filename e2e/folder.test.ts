import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { unzipSync } from 'fflate';
import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { type DemoStudio, openDemoStudio } from './support/demo-studio.ts';
import { Driver } from './support/studio-driver.ts';

/** The site as a folder, saved in Share and opened from a disk. */
let demo: DemoStudio;
let folder: string;
beforeAll(async () => {
  demo = await openDemoStudio();
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-folder-'));
}, 120_000);
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
}, 90_000);
