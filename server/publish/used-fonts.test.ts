import { firstLook, type Look } from '#core/look/look.ts';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { fromParagraphs, type RichText } from '#core/words/rich-text.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());

/**
 * The fonts that a front page's style sheet names and its reader gets, and those the page asks for before its style sheet is
 * read; without the part of their names that is a hash.
 */
async function fontsOf(link: string): Promise<{ had: string[]; fetchedFirst: string[] }> {
  const withoutHash = (name: string) => name.replace(/-[0-9a-f]{10}\.woff2$/, '');
  const page = await server.get(link);
  const sheet = /href="(assets\/lamplight-[^"]+\.css)"/.exec(page.body)?.[1] ?? 'none';
  const { body } = await server.get(link + sheet);
  const named = new Set([...body.matchAll(/url\("?\.\/([^")]+\.woff2)"?\)/g)].map(([, name]) => name ?? ''));
  expect(named.size).toBeGreaterThan(4);
  const got: string[] = [];
  for (const name of named) {
    const { statusCode, headers } = await server.get(`${link}assets/${name}`);
    if (statusCode === 404) continue;
    expect(headers['content-type']).toBe('font/woff2');
    got.push(withoutHash(name));
  }
  const first = [...page.body.matchAll(/<link rel="preload" as="font"[^>]* href="assets\/([^"]+)"/g)];
  return { had: got.sort(), fetchedFirst: first.map(([, name]) => withoutHash(name ?? '')).sort() };
}

const look: Look = { ...firstLook, theme: 'lamplight', fonts: 'newsprint' };

test('a release holds the fonts its words need, in each of its entrances', async () => {
  const state = await maker.site();
  const site = state.site.id;
  const { page } = await maker.call(createPage, {
    params: { site },
    body: { title: 'Tide clock', materials: [] },
  });
  const write = async (text: RichText, height: 'public' | 'private' = 'public') =>
    maker.call(changePage, {
      params: { site, page },
      body: {
        seen: (await maker.state(site)).revision,
        label: 'Words',
        change: { parts: [{ id: 'words1', kind: 'words', height, text }] },
      },
    });
  await maker.call(changeSite, {
    params: { site },
    // A theme that slants nothing by itself, in fonts of another one.
    body: { seen: 0, label: 'Open', change: { height: 'unlisted', look } },
  });
  const published = async () => fontsOf((await maker.publish(site)).live?.siteLinkPath ?? '');

  await write(fromParagraphs('Cut from birch, “slowly”.'));
  const english = ['instrument-sans-latin-wght-normal', 'newsreader-latin-opsz-normal'];
  expect(await published()).toEqual({ had: english, fetchedFirst: english });

  // Letters with accents bring the files that hold them; on the front page, which has none, they are not fetched first.
  await write(fromParagraphs('Built in Łódź.'));
  const polish = [
    'instrument-sans-latin-ext-wght-normal',
    'instrument-sans-latin-wght-normal-beyond',
    'newsreader-latin-ext-opsz-normal',
    'newsreader-latin-opsz-normal-beyond',
  ];
  expect(await published()).toEqual({ had: [...english, ...polish].sort(), fetchedFirst: english });

  await write({
    type: 'doc',
    content: [
      { type: 'paragraph', content: [{ type: 'text', text: 'slanted', marks: [{ type: 'italic' }] }] },
    ],
  });
  expect((await published()).had).toEqual([...english, 'newsreader-latin-opsz-italic'].sort());

  // Words that nobody is shown leave no trace in the fonts either.
  await write(fromParagraphs('Built in Łódź.'), 'private');
  expect(await published()).toEqual({ had: english, fetchedFirst: english });

  // What stands on the front page is fetched first there.
  await maker.call(changeSite, {
    params: { site },
    body: { seen: 0, label: 'Name', change: { title: 'Müller' } },
  });
  const beyond = english.map((name) => `${name}-beyond`);
  expect(await published()).toEqual({
    had: [...english, ...beyond].sort(),
    fetchedFirst: [...english, ...beyond].sort(),
  });
});

test('a theme that slants its first words has the slanted letters fetched first as well', async () => {
  const other = await server.maker();
  const state = await other.site();
  await other.call(changeSite, {
    params: { site: state.site.id },
    body: { seen: 0, label: 'Open', change: { height: 'unlisted', look: { ...look, theme: 'broadsheet' } } },
  });
  const link = (await other.publish(state.site.id)).live?.siteLinkPath ?? '';
  const { body } = await server.get(link);
  expect(body).toMatch(/<link rel="preload" as="font"[^>]* href="assets\/newsreader-latin-opsz-italic-/);
});
