import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { changePage, createPage, deletePage, sendPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { undoEdit } from '#contract/undo.ts';
import { noFacts } from '#core/pages/case-facts.ts';
import type { Page } from '#core/pages/page.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

let server: TestServer;
let wren: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  wren = await server.maker();
});
afterAll(() => server.stop());

type Kind = Exclude<Page['kind'], 'home'>;

async function aSite(own = wren) {
  const { site } = await own.site();
  const params = { site: site.id };
  const make = async (kind: Kind, title: string, parent: string | null = null, more: object = {}) =>
    (await own.call(createPage, { params, body: { kind, title, parent, materials: [], ...more } })).page;
  const change = async (page: string, wanted: object) =>
    own.call(changePage, {
      params: { ...params, page },
      body: { seen: (await own.state(site.id)).revision, label: 'Change', change: wanted },
    });
  const settle = (wanted: object) =>
    own.call(changeSite, { params, body: { seen: 0, label: 'Settle', change: wanted } });
  const page = async (id: string) => (await own.state(site.id)).pages.find((one) => one.id === id);
  return { maker: own, site: site.id, params, make, change, settle, page };
}

/** A public site with a year that holds a project and a page, a heading with a link, and an about page. */
async function aTree() {
  const own = await aSite();
  const year = await own.make('group', 'Year one');
  const clock = await own.make('project', 'Tide clock', year);
  const sums = await own.make('plain', 'Gear sums', clock);
  const trailer = await own.make('project', 'Bike trailer', year);
  const heading = await own.make('heading', 'Elsewhere');
  const link = await own.make('link', 'Tide tables', heading, { leadsTo: 'https://tides.example/skerrin' });
  const about = await own.make('about', 'About Wren');
  const address = `tree-${own.site.toLowerCase()}`;
  await own.settle({ height: 'public', address });
  await own.maker.publish(own.site);
  const read = async (path: string) => server.get(`/${address}/${path}`);
  return { ...own, year, clock, sums, trailer, heading, link, about, address, read };
}

/** Words and addresses of the menu on a page as it is served. */
const menuIn = (html: string): string[] => {
  const [, menu = ''] = /<nav class="menu"[^>]*>(.*?)<\/nav>/s.exec(html) ?? [];
  return [...menu.matchAll(/<(?:a|span class="heading")[^>]*>([^<]+)/g)].map(([, title]) => title ?? '');
};

describe('where a page may stand', () => {
  test('a page of each kind is made below another; what may not stand there is refused with a sentence', async () => {
    const { make, change, page, maker, site } = await aSite();
    const group = await make('group', 'Year one');
    const inside = await make('group', 'Autumn', group);
    const link = await make('link', 'Tables', null, { leadsTo: 'https://tides.example/' });
    const front = (await maker.state(site)).pages.find(({ kind }) => kind === 'home')?.id ?? '';
    await expect(make('plain', 'Notes', link)).rejects.toMatchObject({ status: 409 });
    await expect(make('plain', 'Notes', front)).rejects.toThrow('Nothing can stand below the front page.');
    await expect(make('plain', 'Notes', 'no-such-page')).rejects.toMatchObject({ status: 409 });
    await expect(change(group, { parent: inside })).rejects.toThrow('A page cannot stand below itself.');
    await expect(change(group, { parent: group })).rejects.toMatchObject({ status: 409 });
    await expect(change(front, { parent: group })).rejects.toThrow('The front page stays at the top.');
    expect(await page(group)).toMatchObject({ parent: null });
    await change(inside, { parent: null });
    expect(await page(inside)).toMatchObject({ parent: null });
  });

  test('there is one about page and one résumé, and no second front page', async () => {
    const { make, params, maker } = await aSite();
    await make('about', 'About');
    await expect(make('about', 'About again')).rejects.toMatchObject({ status: 409 });
    await make('resume', 'Résumé');
    await expect(make('resume', 'Another')).rejects.toMatchObject({ status: 409 });
    const body = { kind: 'home', title: 'A second', materials: [] } as never;
    await expect(maker.call(createPage, { params, body })).rejects.toMatchObject({ status: 400 });
  });

  test('another maker’s page is no place, and nobody moves, sends or deletes it', async () => {
    const [own, other] = [await aSite(), await aSite(await server.maker())];
    const [mine, theirs] = [await own.make('group', 'Mine'), await other.make('group', 'Theirs')];
    await expect(own.make('plain', 'Notes', theirs)).rejects.toMatchObject({ status: 409 });
    await expect(own.change(mine, { parent: theirs })).rejects.toMatchObject({ status: 409 });
    const send = (page: string, to: string) =>
      own.maker.call(sendPage, { params: { ...own.params, page }, body: { to } });
    await expect(send(mine, other.site)).rejects.toMatchObject({ status: 404 });
    await expect(send(theirs, own.site)).rejects.toMatchObject({ status: 400 });
    const second = await aSite();
    await expect(send(theirs, second.site)).rejects.toMatchObject({ status: 404 });
    expect(await own.page(mine)).toBeTruthy();
    expect(await other.page(theirs)).toBeTruthy();
  });
});

describe('a tree as readers get it', () => {
  test('addresses are those of the pages above, a heading adds nothing, and the menu names it all', async () => {
    const { read, address } = await aTree();
    const front = await read('');
    expect(menuIn(front.body)).toEqual([
      'Work',
      'Year one',
      'Tide clock',
      'Gear sums',
      'Bike trailer',
      'Elsewhere',
      'Tide tables',
      'About Wren',
    ]);
    expect(front.body).toContain('href="https://tides.example/skerrin"');
    expect((await read('year-one/tide-clock/gear-sums/')).statusCode).toBe(200);
    for (const nothing of ['elsewhere/', 'elsewhere/tide-tables/', 'tide-tables/'])
      expect([nothing, (await read(nothing)).statusCode]).toEqual([nothing, 404]);
    const clock = (await read('year-one/tide-clock/')).body;
    expect(clock).toMatch(/<a href="\.\.\/\.\.\/year-one\/tide-clock\/" aria-current="page">Tide clock/);
    expect(clock).toMatch(/<a href="\.\.\/\.\.\/year-one\/" aria-current="true">Year one/);
    for (const path of [
      '',
      'year-one/',
      'year-one/tide-clock/',
      'year-one/tide-clock/gear-sums/',
      'about-wren/',
    ])
      expect([path, await htmlFaults((await server.get(`/${address}/${path}`)).body)]).toEqual([path, []]);
  });

  test('a group hangs what stands in it, and what goes before and after stays in it', async () => {
    const { read, make, maker, site } = await aTree();
    await make('project', 'Loose lamp');
    const { pages } = await maker.state(site);
    const lamp = pages.find(({ title }) => title === 'Loose lamp');
    await maker.call(changePage, {
      params: { site, page: lamp?.id ?? '' },
      body: { seen: (await maker.state(site)).revision, label: 'Open', change: { height: 'public' } },
    });
    await maker.publish(site);
    const year = (await read('year-one/')).body;
    expect(year).toContain('Bike trailer</a>');
    expect(year).not.toContain('Loose lamp');
    const trailer = (await read('year-one/bike-trailer/')).body;
    expect(trailer).toMatch(/class="before"[^]*Tide clock/);
    expect(trailer).not.toContain('Loose lamp');
  });

  test('a height set on a group closes all it holds on the next request, and no menu names it any more', async () => {
    const { read, change, year, maker, site } = await aTree();
    expect((await read('year-one/tide-clock/gear-sums/')).statusCode).toBe(200);
    await change(year, { height: 'private' });
    for (const path of ['year-one/', 'year-one/tide-clock/', 'year-one/tide-clock/gear-sums/'])
      expect([path, (await read(path)).statusCode]).toEqual([path, 404]);
    await maker.publish(site);
    const front = (await read('')).body;
    expect(menuIn(front)).toEqual(['Work', 'Elsewhere', 'Tide tables', 'About Wren']);
    expect(front).not.toContain('Tide clock');
  });

  test('a page left out of the menu is opened as before; one that leads nowhere stands in no menu', async () => {
    const { read, change, about, link, maker, site } = await aTree();
    await change(about, { inMenu: false });
    await change(link, { leadsTo: '' });
    await maker.publish(site);
    expect(menuIn((await read('')).body)).toEqual([
      'Work',
      'Year one',
      'Tide clock',
      'Gear sums',
      'Bike trailer',
    ]);
    expect((await read('about-wren/')).statusCode).toBe(200);
  });

  test('each manner of the menu is told to the page, and changing it waits to be published', async () => {
    const { read, settle, maker, site } = await aTree();
    expect((await read('')).body).toContain('data-menu="line"');
    await settle({ menu: 'side' });
    const { live } = await maker.state(site);
    expect(live.waiting.flatMap(({ what }) => what)).toEqual(['manner of the menu']);
    await maker.publish(site);
    expect((await read('about-wren/')).body).toContain('data-menu="side"');
  });
});

describe('tags', () => {
  const tagged = (tags: string[]) => ({ facts: { ...noFacts, tags } });

  test('have a page each, with the work its reader may open, and case pages lead there', async () => {
    const { read, change, clock, trailer, maker, site, address } = await aTree();
    await change(clock, tagged(['Harbour', 'clock']));
    await change(trailer, tagged(['harbour', 'very secret wheels']));
    await maker.publish(site);
    const harbour = (await read('tagged/harbour/')).body;
    expect(harbour).toContain('Tide clock</a>');
    expect(harbour).toContain('Bike trailer</a>');
    expect(await htmlFaults(harbour)).toEqual([]);
    expect((await read('year-one/tide-clock/')).body).toMatch(
      /<a href="\.\.\/\.\.\/tagged\/harbour\/">Harbour<\/a>, <a[^>]*>clock</,
    );
    expect((await server.get('/sitemap.xml')).body).not.toContain(address);
    // Closed at once, and what is left says nothing of it.
    await change(trailer, { height: 'private' });
    for (const path of ['tagged/very-secret-wheels/', 'tagged/harbour/'])
      expect([path, (await read(path)).body]).not.toEqual([path, expect.stringMatching(/Bike|secret/)]);
    await maker.publish(site);
    expect((await read('tagged/very-secret-wheels/')).statusCode).toBe(404);
    const left = (await read('tagged/harbour/')).body;
    expect(left).toContain('Tide clock');
    expect(left).not.toMatch(/Bike trailer|secret/);
  });

  test('take no address of a page away, and no page takes theirs', async () => {
    const { change, about, page } = await aTree();
    for (const slug of ['tagged', 'files', 'assets'])
      await expect(change(about, { slug })).rejects.toThrow('This address is kept for the site’s own');
    expect(await page(about)).toMatchObject({ slug: 'about-wren' });
  });
});

describe('an address that was changed', () => {
  test('leads on to the new one with all below it, at the address and by the link, also after a move', async () => {
    const { read, change, year, clock, maker, site, address } = await aTree();
    await change(year, { slug: 'first-year' });
    await maker.publish(site);
    const moved = await read('year-one/tide-clock/gear-sums/');
    expect([moved.statusCode, moved.headers.location]).toEqual([
      302,
      `/${address}/first-year/tide-clock/gear-sums/`,
    ]);
    const { siteLinkPath } = (await maker.state(site)).live;
    const byLink = await server.get(`${siteLinkPath}year-one`);
    expect([byLink.statusCode, byLink.headers.location]).toEqual([302, `${siteLinkPath}first-year/`]);
    await change(clock, { parent: null });
    await maker.publish(site);
    for (const old of ['year-one/tide-clock/', 'first-year/tide-clock/'])
      expect([old, (await read(old)).headers.location]).toEqual([old, `/${address}/tide-clock/`]);
    // Back where it was, it is there itself.
    await change(clock, { parent: year });
    await maker.publish(site);
    expect((await read('first-year/tide-clock/')).statusCode).toBe(200);
    expect((await read('tide-clock/')).headers.location).toBe(`/${address}/first-year/tide-clock/`);
  });

  test('tells nobody of a page that is closed to them: its old address answers like one that never was', async () => {
    const { read, change, year, clock, about, maker, site } = await aTree();
    await change(year, { slug: 'first-year' });
    await change(about, { slug: 'me' });
    await maker.publish(site);
    const never = await read('never-was/');
    await change(clock, { height: 'private' });
    // At once, before anything is published.
    const old = await read('year-one/tide-clock/');
    expect([old.statusCode, old.body, { ...old.headers, date: '' }]).toEqual([
      404,
      never.body,
      { ...never.headers, date: '' },
    ]);
    // Opened by its own link only, it is led to from nowhere else.
    await change(about, { height: 'unlisted' });
    await maker.publish(site);
    const listed = await read('about-wren/');
    expect([listed.statusCode, listed.body]).toEqual([404, never.body]);
    expect((await read('year-one/')).statusCode).toBe(302);
  });

  test('belongs to whoever has it last', async () => {
    const { read, change, about, make, maker, site } = await aTree();
    await change(about, { slug: 'me' });
    await maker.publish(site);
    expect((await read('about-wren/')).statusCode).toBe(302);
    const other = await make('plain', 'About Wren');
    await change(other, { height: 'public', slug: 'about-wren' });
    await maker.publish(site);
    expect((await read('about-wren/')).statusCode).toBe(200);
    await change(other, { slug: 'elsewhere' });
    await maker.publish(site);
    expect((await read('about-wren/')).headers.location).toMatch(/\/elsewhere\/$/);
  });
});

describe('deleting, copying and taking elsewhere with all below', () => {
  test('what stood below a deleted page goes with it and comes back with one undo', async () => {
    const { maker, params, year, clock, sums, page } = await aTree();
    const before = await Promise.all([year, clock, sums].map(page));
    await maker.call(deletePage, { params: { ...params, page: year } });
    for (const id of [year, clock, sums]) expect(await page(id)).toBeUndefined();
    await maker.call(undoEdit, { params });
    expect(await Promise.all([year, clock, sums].map(page))).toEqual(before);
  });

  test('or takes its place, and flies no higher there than it did', async () => {
    const { maker, params, year, clock, sums, trailer, page, change, read } = await aTree();
    await change(year, { height: 'unlisted' });
    await change(trailer, { height: 'private' });
    await maker.call(deletePage, { params: { ...params, page: year }, body: { below: 'keep' } });
    expect(await page(year)).toBeUndefined();
    expect(await page(clock)).toMatchObject({ parent: null, height: 'unlisted' });
    expect(await page(trailer)).toMatchObject({ parent: null, height: 'private' });
    expect(await page(sums)).toMatchObject({ parent: clock, height: 'public' });
    await maker.publish(params.site);
    expect((await read('tide-clock/')).statusCode).toBe(404);
  });

  test('deleted for readers now, all of it is closed at once', async () => {
    const { maker, params, year, read } = await aTree();
    await maker.call(deletePage, { params: { ...params, page: year }, body: { readers: 'now' } });
    for (const path of ['year-one/', 'year-one/tide-clock/', 'year-one/tide-clock/gear-sums/'])
      expect([path, (await read(path)).statusCode]).toEqual([path, 404]);
  });

  test('a copy with all below has its own ids and addresses, in the same order, under a Private page', async () => {
    const { maker, params, year, sums, site } = await aTree();
    const body = { title: '', materials: [], copyOf: year, withBelow: true };
    const made = await maker.call(createPage, { params, body });
    const { pages } = await maker.state(site);
    const copy = pages.find(({ id }) => id === made.page);
    expect(copy).toMatchObject({ title: 'Copy of Year one', height: 'private', parent: null });
    const inside = pages.filter(({ parent }) => parent === made.page);
    expect(inside.sort((a, b) => (a.rank < b.rank ? -1 : 1)).map(({ title }) => title)).toEqual([
      'Tide clock',
      'Bike trailer',
    ]);
    const [clockAgain] = inside;
    expect(pages.filter(({ parent }) => parent === clockAgain?.id)).toMatchObject([{ title: 'Gear sums' }]);
    expect(new Set(pages.map(({ slug }) => slug)).size).toBe(pages.length);
    expect(pages.filter(({ id }) => id === sums)).toHaveLength(1);
    await maker.call(undoEdit, { params });
    expect((await maker.state(site)).pages).toHaveLength(pages.length - 4);
  });

  test('taken to another site it is Private there with all below, is gone here, and each site can undo its half', async () => {
    const { maker, params, year, page, read } = await aTree();
    const other = await aSite();
    await maker.call(sendPage, {
      params: { ...params, page: year },
      body: { to: other.site, readers: 'now' },
    });
    expect(await page(year)).toBeUndefined();
    expect((await read('year-one/')).statusCode).toBe(404);
    const there = (await maker.state(other.site)).pages;
    expect(there.map(({ title }) => title)).toEqual(
      expect.arrayContaining(['Year one', 'Tide clock', 'Gear sums', 'Bike trailer']),
    );
    expect(there.find(({ title }) => title === 'Year one')).toMatchObject({
      height: 'private',
      parent: null,
    });
    await maker.call(undoEdit, { params });
    expect(await page(year)).toBeTruthy();
    await maker.call(undoEdit, { params: other.params });
    expect((await maker.state(other.site)).pages).toHaveLength(1);
  });
});
