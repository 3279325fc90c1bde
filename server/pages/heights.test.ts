import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { changeHeights } from '#contract/pages.ts';
import { undoEdit } from '#contract/undo.ts';
import type { Height } from '#core/access/height.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/** The heights of several pages at once, asked from outside. */
let server: TestServer;
let maker: TestMaker;
let site: PublishedSite;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = await PublishedSite.open(server, maker);
});
afterAll(() => server.stop());

const set = (height: Height, pages: { id: string; was: Height }[], who = maker, of = site.site) =>
  who.call(changeHeights, { params: { site: of }, body: { pages, height } });
const both = (was: Height) => [site.clock, site.satchel].map((id) => ({ id, was }));
const open = async () =>
  [await site.stranger('tide-clock/'), await site.stranger('satchel/')].map((one) => one !== '404');

test('lowering several closes them all on the next request, and is one step of undo', async () => {
  expect(await open()).toEqual([true, true]);
  await set('private', both('public'));
  expect(await open()).toEqual([false, false]);
  await maker.call(undoEdit, { params: { site: site.site }, body: { sure: true } });
  expect(
    (await maker.state(site.site)).pages.filter(({ kind }) => kind === 'project').map(({ height }) => height),
  ).toEqual(['public', 'public']);
  // What was closed stays closed until the next publish.
  expect(await open()).toEqual([false, false]);
  await site.publish();
  expect(await open()).toEqual([true, true]);
});

test('raising several opens nothing before the next publish', async () => {
  await set('invited', both('public'));
  await site.publish();
  expect(await open()).toEqual([false, false]);
  await set('public', both('invited'));
  expect(await open()).toEqual([false, false]);
  await site.publish();
  expect(await open()).toEqual([true, true]);
});

test('one that was changed meanwhile leaves all as they are, and says which it was', async () => {
  await site.page(site.satchel, { height: 'unlisted' });
  await expect(set('private', both('public'))).rejects.toMatchObject({
    status: 409,
    message: 'The height of “Satchel” was changed meanwhile. Nothing was changed; look again.',
  });
  expect((await maker.project(site.site, site.clock))?.height).toBe('public');
  expect((await open())[0]).toBe(true);
  await site.page(site.satchel, { height: 'public' });
});

test('pages of others are not found, whichever site is named', async () => {
  const stranger = await server.maker('Sal');
  const own = (await stranger.site()).site.id;
  const theirs = [{ id: site.clock, was: 'public' as const }];
  await expect(set('private', theirs, stranger)).rejects.toMatchObject({ status: 404 });
  await expect(set('private', theirs, stranger, own)).rejects.toMatchObject({ status: 404 });
  expect((await maker.project(site.site, site.clock))?.height).toBe('public');
});
