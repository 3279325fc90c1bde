import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { undoEdit } from '#contract/undo.ts';
import type { Page } from '#core/pages/page.ts';
import type { Site } from '#core/sites/site.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/** Pictures shown where links are passed on, asked for from outside as the programs do that show them. */
const photo = join(import.meta.dirname, '../../demo/pictures/tide-clock/08-hero-on-wall.jpg');
let server: TestServer;
let maker: TestMaker;
let site = '';
let clock = '';
let words = '';
const set = async (change: Partial<Site>) =>
  maker.call(changeSite, {
    params: { site },
    body: { seen: (await maker.state(site)).revision, label: 'Site', change },
  });
const setPage = async (page: string, change: Partial<Page>) =>
  maker.call(changePage, {
    params: { site, page },
    body: { seen: (await maker.state(site)).revision, label: 'Page', change },
  });
const said = (html: string, property: string) =>
  new RegExp(`<meta property="${property}" content="([^"]*)"/>`).exec(html)?.[1] ?? null;
const pictureOf = async (path: string) => said((await server.get(path)).body, 'og:image');
/** From the root of the server. */
const pathOf = (url: string | null) => new URL(url ?? '').pathname;
const statusOf = async (path: string) => (await server.get(path)).statusCode;
const linkOf = async () => (await maker.state(site)).live.siteLinkPath ?? '';

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
  const { material } = await maker.upload(site, 'wall.jpg', await readFile(photo));
  const make = (title: string, materials: string[]) =>
    maker.call(createPage, { params: { site }, body: { title, materials } });
  clock = (await make('Tide clock', [material])).page;
  words = (await make('Only words', [])).page;
  await set({ height: 'public', address: 'passed-on', by: 'Ash Fernandez' });
  await maker.publish(site);
});
afterAll(() => server.stop());

describe('a public page', () => {
  test('names a JPEG of 1200 × 630 by its whole address, which shows its picture and its title', async () => {
    const { body } = await server.get('/passed-on/tide-clock/');
    expect([said(body, 'og:image:width'), said(body, 'og:image:height')]).toEqual(['1200', '630']);
    const url = said(body, 'og:image') ?? '';
    expect(url).toMatch(/^https?:\/\/[^/]+\/passed-on\/share\/[0-9a-f]{32}\.jpg$/);
    const reply = await server.get(pathOf(url));
    expect([reply.statusCode, reply.headers['content-type']]).toEqual([200, 'image/jpeg']);
    const drawn = sharp(reply.rawPayload);
    const { width, height, format, exif, xmp, iptc } = await drawn.metadata();
    expect({ width, height, format, exif, xmp, iptc }).toEqual({ width: 1200, height: 630, format: 'jpeg' });
    // Below the middle stands a title in white or nearly black, and at the foot the line in the colour of the site.
    const { data, info } = await drawn.raw().toBuffer({ resolveWithObject: true });
    const at = (x: number, y: number) => [
      ...data.subarray((y * info.width + x) * 3, (y * info.width + x) * 3 + 3),
    ];
    const row = Array.from({ length: 700 }, (_, x) => at(x + 60, 505));
    const extremes = row.filter((pixel) => Math.min(...pixel) > 235 || Math.max(...pixel) < 40);
    expect(extremes.length).toBeGreaterThan(30);
    const [left, right] = [at(10, 625), at(1190, 625)];
    for (const [channel, value] of left.entries())
      expect(Math.abs(value - (right[channel] ?? 0))).toBeLessThan(12);
  });

  test('of words alone has one too, another than every other page, and another after its title changed', async () => {
    const before = await pictureOf('/passed-on/only-words/');
    const all = [before, await pictureOf('/passed-on/'), await pictureOf('/passed-on/tide-clock/')];
    expect(new Set(all).size).toBe(3);
    await setPage(words, { title: 'Words alone' });
    await maker.publish(site);
    const after = await pictureOf('/passed-on/only-words/');
    expect(after).not.toBe(before);
    expect([await statusOf(pathOf(before)), await statusOf(pathOf(after))]).toEqual([404, 200]);
  });

  test('that is lowered takes its picture along at once', async () => {
    const url = pathOf(await pictureOf('/passed-on/only-words/'));
    expect(await statusOf(url)).toBe(200);
    await setPage(words, { height: 'private' });
    expect(await statusOf(url)).toBe(404);
    await setPage(words, { height: 'public' });
    expect(await statusOf(url)).toBe(404);
    await maker.publish(site);
    expect(await statusOf(url)).toBe(200);
  });
});

describe('an Unlisted link', () => {
  test('is passed on without a picture unless its maker wants one', async () => {
    await set({ height: 'unlisted' });
    await maker.publish(site);
    const { body } = await server.get(`${await linkOf()}tide-clock/`);
    expect(body).toContain('Tide clock');
    expect(body).not.toContain('og:image');
    expect(await statusOf(`/link-pictures/${site}/`)).toBe(404);
  });

  test('with one names it by an address without the key, which no search engine may keep', async () => {
    await set({ linkPictures: true });
    expect((await maker.state(site)).live.waiting.flatMap(({ what }) => what)).toContain(
      'Unlisted links are passed on with a picture',
    );
    await maker.publish(site);
    const link = await linkOf();
    const { body } = await server.get(`${link}tide-clock/`);
    const url = said(body, 'og:image') ?? '';
    const [, , key = ''] = link.split('/');
    expect(key.length).toBeGreaterThan(10);
    expect(body).not.toContain(key);
    const reply = await server.get(pathOf(url));
    expect([reply.statusCode, reply.headers['x-robots-tag'], reply.headers['cache-control']]).toEqual([
      200,
      'noindex',
      'private, max-age=31536000, immutable',
    ]);
    // There is nothing else at that address: no page, no style sheet, no other picture of the site.
    const name = pathOf(url).split('/').at(-1) ?? '';
    const asset = /href="\.\.\/(assets\/[^"]+\.css)"/.exec(body)?.[1] ?? '';
    expect(await statusOf(`${link}${asset}`)).toBe(200);
    for (const path of ['', 'index.html', 'tide-clock/', `share/${name}`, asset, name.replace(/^./, 'x')])
      expect([path, await statusOf(`/link-pictures/${site}/${path}`)]).toEqual([path, 404]);
    expect(await statusOf(`/link-pictures/another-site/${name}`)).toBe(404);
  });

  test('loses it on the next request when the switch, the page or the site is lowered', async () => {
    const picture = async () => pathOf(await pictureOf(`${await linkOf()}tide-clock/`));
    const url = await picture();
    expect(await statusOf(url)).toBe(200);
    await set({ linkPictures: false });
    expect(await statusOf(url)).toBe(404);
    // Undone is not published.
    await maker.call(undoEdit, { params: { site }, body: { sure: true } });
    expect(await statusOf(url)).toBe(404);
    await maker.publish(site);
    expect(await statusOf(url)).toBe(200);
    await setPage(clock, { height: 'private' });
    expect(await statusOf(url)).toBe(404);
    await setPage(clock, { height: 'public' });
    await maker.publish(site);
    expect(await statusOf(url)).toBe(200);
    await set({ height: 'private' });
    expect(await statusOf(url)).toBe(404);
  });
});
