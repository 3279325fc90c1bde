import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { changePage } from '#contract/pages.ts';
import { takeStarter } from '#contract/site-starters.ts';
import { changeSite } from '#contract/sites.ts';
import { undoEdit } from '#contract/undo.ts';
import { siteStarterKeys, siteStarterOf } from '#core/sites/site-starters.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());

const keysOf = (starter: (typeof siteStarterKeys)[number]) =>
  siteStarterOf(starter).pages.map(({ key }) => key);

test('a starter that is taken over and published unfilled shows readers nothing of itself', async () => {
  const { site } = await maker.site();
  const params = { site: site.id };
  for (const starter of siteStarterKeys)
    await maker.call(takeStarter, { params, body: { starter, pages: keysOf(starter), arranged: true } });
  const { revision, pages } = await maker.state(site.id);
  await maker.call(changeSite, {
    params,
    body: { seen: revision, label: 'Open', change: { height: 'public', address: 'begun-site' } },
  });
  await maker.publish(site.id);
  const front = await server.get('/begun-site/');
  expect(front.statusCode).toBe(200);
  const offered = siteStarterKeys.flatMap((key) => siteStarterOf(key).pages);
  for (const { title, example } of offered) {
    expect(front.body).not.toContain(title);
    expect(front.body).not.toContain(example.summary);
  }
  for (const { slug, kind } of pages.filter(({ kind }) => kind !== 'home'))
    expect([kind, slug, (await server.get(`/begun-site/${slug}/`)).statusCode]).toEqual([kind, slug, 404]);

  // Filled and raised, a page is there, and its example is nowhere.
  const answer = pages.find(({ title }) => title === 'My answer');
  await maker.call(changePage, {
    params: { ...params, page: answer?.id ?? '' },
    body: {
      ...{ seen: (await maker.state(site.id)).revision, label: 'Filled' },
      change: { summary: 'A lid of my own.', height: 'public' },
    },
  });
  await maker.publish(site.id);
  const filled = await server.get(`/begun-site/${answer?.slug ?? ''}/`);
  expect(filled.body).toContain('A lid of my own.');
  expect(filled.body).not.toContain('sideways');
});

test('some of it is taken over, in the places it has, and all of it goes by one undo', async () => {
  const { site, pages: before } = await maker.site('Piece by piece');
  const params = { site: site.id };
  const take = (pages: string[], arranged = false) =>
    maker.call(takeStarter, { params, body: { starter: 'years', pages, arranged } });
  const { made, left } = await take(['second', 'second-work', 'third-work', 'about', 'no-such-page']);
  expect([made.length, left]).toEqual([4, []]);
  const { pages, site: now } = await maker.state(site.id);
  const titled = (title: string) => pages.find((page) => page.title === title);
  expect(titled('A piece from the second year')?.parent).toBe(titled('Second year')?.id);
  expect(titled('A piece from the third year')?.parent).toBeNull();
  expect(new Set(made.map((id) => pages.find((page) => page.id === id)?.height))).toEqual(
    new Set(['private']),
  );
  expect(now.wall).toBe('rows');
  // There is one about page only.
  expect(await take(['about'], true)).toMatchObject({ made: [], left: ['About'] });
  expect((await maker.state(site.id)).site.wall).toBe('groups');
  await maker.call(undoEdit, { params, body: { sure: true } });
  expect((await maker.state(site.id)).site.wall).toBe('rows');
  await maker.call(undoEdit, { params, body: { sure: true } });
  expect((await maker.state(site.id)).pages.map(({ id }) => id)).toEqual(before.map(({ id }) => id));

  const other = await server.maker();
  await expect(
    other.call(takeStarter, { params, body: { starter: 'hired', pages: ['best'], arranged: false } }),
  ).rejects.toMatchObject({ status: 404 });
});
