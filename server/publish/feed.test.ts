import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
// Independent readers: a feed parser and libxml2 (packages rss-parser and xmllint-wasm).
import Parser from 'rss-parser';
import { validateXML } from 'xmllint-wasm';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

const reader = new Parser<object, { updated: string; id: string }>({ customFields: { item: ['updated'] } });

let server: TestServer;
let maker: TestMaker;
let site = '';
const params = () => ({ site });
const seen = async () => (await maker.state(site)).revision;
const change = async (page: string, change: object) =>
  maker.call(changePage, {
    params: { site, page },
    body: { seen: await seen(), label: 'A change', change },
  });
const changeTheSite = async (change: object) =>
  maker.call(changeSite, { params: params(), body: { seen: await seen(), label: 'Site', change } });
const feed = async () => {
  const response = await server.get('/tide-feeds/feed.xml');
  return { response, text: response.body };
};

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
  await changeTheSite({
    ...{ height: 'public', address: 'tide-feeds', searchEngines: true },
    ...{ title: 'Wren & friends', by: 'Wren', contact: 'form', rights: 'CC-BY-4.0' },
  });
});
afterAll(() => server.stop());

describe('the feed of a public site', () => {
  test('tells of its public projects with what RFC 4287 asks for, and of nothing that is kept lower', async () => {
    const make = async (title: string, wanted: object = {}) => {
      const { page } = await maker.call(createPage, { params: params(), body: { title, materials: [] } });
      await change(page, { summary: `About <${title}>`, height: 'public', ...wanted });
      return page;
    };
    const clock = await make('Tide clock & bell');
    await make('A secret lamp', { height: 'invited' });
    const late = await make('Bee hotel');
    await maker.publish(site);

    const { response, text } = await feed();
    expect(response.headers['content-type']).toBe('application/atom+xml; charset=utf-8');
    expect(text).not.toContain('secret lamp');
    const read = await reader.parseString(text);
    expect(read.title).toBe('Wren & friends');
    expect(read.items.map(({ title }) => title).sort()).toEqual(['Bee hotel', 'Tide clock & bell']);
    const entry = read.items.find(({ title }) => title?.startsWith('Tide'));
    expect(entry?.link).toMatch(/\/tide-feeds\/tide-clock-and-bell\/$/);
    // RFC 4287, 4.1.1 and 4.1.2: exactly one id, title and updated each; an author above all entries will do.
    const [head = '', ...entries] = text.split('<entry>');
    for (const part of [head, ...entries])
      for (const element of ['id', 'title', 'updated'])
        expect([element, part.match(new RegExp(`<${element}[ >]`, 'g'))?.length]).toEqual([element, 1]);
    expect(head).toContain('<name>Wren</name>');
    const ids = read.items.map(({ id }) => id);
    expect(new Set(ids).size).toBe(2);

    // Pages lead to it, and say how to reach the maker and on which terms the work stands.
    const page = await server.get('/tide-feeds/');
    expect(page.body).toMatch(/<link rel="alternate" type="application\/atom\+xml"[^>]* href="feed\.xml"/);
    expect(page.body).toContain('href="_write/"');
    expect(page.body).toContain('href="https://creativecommons.org/licenses/by/4.0/"');

    // What is not touched keeps its time; what is gets a new one, and the feed with it.
    await change(clock, { summary: 'Another sentence.' });
    await maker.publish(site);
    const again = await reader.parseString((await feed()).text);
    const at = (list: typeof read.items, id: string) => list.find((one) => one.id.endsWith(id));
    expect(at(again.items, late)?.updated).toBe(at(read.items, late)?.updated);
    expect(at(again.items, clock)?.updated).not.toBe(at(read.items, clock)?.updated);
    expect(again.items[0]?.title).toBe('Tide clock & bell');
    expect(at(again.items, clock)?.id).toBe(at(read.items, clock)?.id);

    // Lowered, a project leaves the feed with the next request: until a narrower one is made there is none.
    await change(clock, { height: 'private' });
    expect((await feed()).text).not.toContain('Tide clock');
    for (let left = 100; left > 0 && (await feed()).response.statusCode !== 200; left--)
      await new Promise((resolve) => setTimeout(resolve, 50));
    const narrower = await feed();
    expect(narrower.text).toContain('Bee hotel');
    expect(narrower.text).not.toContain('Tide clock');
  });

  test('is not to be had where the site is not public, and a link does not lead to it', async () => {
    await changeTheSite({ height: 'unlisted' });
    const job = await maker.publish(site);
    expect((await feed()).response.statusCode).toBe(404);
    const link = job.live?.siteLinkPath ?? '';
    expect((await server.get(`${link}feed.xml`)).statusCode).toBe(404);
    expect((await server.get(link)).body).not.toContain('atom+xml');
  });
});

test('the sitemap is one by the schema of its protocol', async () => {
  await changeTheSite({ height: 'public' });
  await maker.publish(site);
  // The schema of sitemaps.org, as the package sitemap brings it.
  const folder = dirname(createRequire(import.meta.url).resolve('sitemap/package.json'));
  const schema = await readFile(join(folder, 'schema', 'sitemap.xsd'), 'utf8');
  const { body } = await server.get('/sitemap.xml');
  expect(body).toContain('/tide-feeds/bee-hotel/');
  const validated = async (text: string) =>
    (await validateXML({ xml: [{ fileName: 'sitemap.xml', contents: text }], schema: [schema] })).errors;
  expect(await validated(body)).toEqual([]);
  expect(
    (await validated(body.replace('<loc>', '<lock>').replace('</loc>', '</lock>'))).length,
  ).toBeGreaterThan(0);
});
