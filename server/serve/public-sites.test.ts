import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { deleteMaterials } from '#contract/materials.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { getListed, listPublicSites, setListed } from '#contract/public-sites.ts';
import { changeSite, setUnderAge } from '#contract/sites.ts';
import { noFacts } from '#core/pages/case-facts.ts';
import { Tidying } from '../publish/tidying.ts';
import { TestMaker, TestServer } from '../testing/test-server.ts';

const photo = join(import.meta.dirname, '../../demo/pictures/tide-clock/13-dial-too-small.jpg');
let server: TestServer;
let wren: TestMaker;
let idris: TestMaker;
let stranger: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  wren = await server.maker();
  idris = await server.maker('Idris');
  stranger = new TestMaker(server.app);
});
afterAll(() => server.stop());

let made = 0;
/** A published site with a project that shows a picture, asked for once by somebody from outside. */
async function live(maker: TestMaker) {
  const { site } = await maker.site(`Site ${++made}`);
  const params = { site: site.id };
  const { material } = await maker.upload(site.id, 'dial.jpg', await readFile(photo));
  const { page } = await maker.call(createPage, {
    params,
    body: { title: 'Clock', materials: [material] },
  });
  const address = `site-number-${made}`;
  await maker.call(changeSite, {
    params,
    body: { seen: 0, label: 'Open', change: { height: 'public', address, searchEngines: true } },
  });
  await maker.publish(site.id);
  const path = `/${address}/clock/`;
  const file = /files\/\w+\.jpg/.exec((await server.get(path)).body)?.[0] ?? 'none';
  return { site: site.id, address, page, material, path, file: `/${address}/${file}` };
}
const status = async (path: string) => (await server.get(path)).statusCode;

describe('what is remembered of open sites', () => {
  test('a picture that is taken from readers is gone from all sites of its maker, on the next request', async () => {
    // Nothing depends on the narrower release of the other site, which would make it be looked up anew as well.
    const later = jest.spyOn(Tidying.prototype, 'later').mockImplementation(() => {});
    const [one, other] = [await live(wren), await live(wren)];
    expect(one.material).toBe(other.material);
    expect(await Promise.all([one.file, other.file].map(status))).toEqual([200, 200]);
    await wren.call(deleteMaterials, {
      params: { site: one.site },
      body: { materials: [one.material], readers: 'now' },
    });
    expect(await Promise.all([one.file, other.file].map(status))).toEqual([404, 404]);
    expect((await server.get(other.path)).body).not.toContain(other.file.split('/').at(-1));
    later.mockRestore();
  });

  test('a change of one site asks the database for that one again, and for no other', async () => {
    const [mine, theirs] = [await live(wren), await live(idris)];
    expect(await Promise.all([mine.path, theirs.path].map(status))).toEqual([200, 200]);
    const asked = jest.spyOn(server.database.db, 'select');
    await wren.call(changeSite, {
      params: { site: mine.site },
      body: { seen: 0, label: 'Private', change: { height: 'private' } },
    });
    asked.mockClear();
    expect(await status(theirs.path)).toBe(200);
    expect(asked).not.toHaveBeenCalled();
    expect(await status(mine.path)).toBe(404);
    expect(asked).toHaveBeenCalled();
    asked.mockRestore();
  });

  test('a name that led nowhere leads to whoever takes it', async () => {
    const mine = await live(wren);
    expect(await status('/free-name/')).toBe(404);
    await wren.call(changeSite, {
      params: { site: mine.site },
      body: { seen: 0, label: 'Address', change: { address: 'free-name' } },
    });
    expect(await status('/free-name/clock/')).toBe(200);
    expect((await server.get(mine.path)).headers['location']).toBe('/free-name/clock/');
  });
});

describe('the list of open sites', () => {
  /** All of it, a part at a time. */
  async function listed(search: { words?: string; field?: string; tag?: string } = {}): Promise<string[]> {
    const paths: string[] = [];
    for (let from: number | null = 0; from !== null;) {
      const reply = await stranger.raw('POST', listPublicSites.path, { from, ...search });
      expect(reply.headers['x-robots-tag']).toBe('noindex');
      const { sites, next } = listPublicSites.reply.parse(JSON.parse(reply.body));
      paths.push(...sites.map(({ path }) => path));
      from = next;
    }
    return paths;
  }
  const list = (maker: TestMaker, site: string, on = true) =>
    maker.call(setListed, { params: { site }, body: { listed: on } });

  test('holds a site only while its maker wants that, and one who said to be under 18 never', async () => {
    // It is said for all sites of an account.
    const young = await server.maker('Young');
    const one = await live(young);
    const path = `/${one.address}/`;
    expect(await listed()).not.toContain(path);
    // Not being in the list keeps nobody from it, and search engines know of it.
    expect(await status(path)).toBe(200);
    expect((await server.get('/sitemap.xml')).body).toContain(path);
    await expect(
      idris.call(setListed, { params: { site: one.site }, body: { listed: true } }),
    ).rejects.toMatchObject({ status: 404 });
    expect(await listed()).not.toContain(path);
    await list(young, one.site);
    expect(await listed()).toContain(path);
    expect((await young.call(getListed, { params: { site: one.site } })).listed).toBe(true);
    await list(young, one.site, false);
    expect(await listed()).not.toContain(path);
    await list(young, one.site);
    await young.call(setUnderAge, {
      params: { site: one.site },
      body: { underAge: true },
    });
    expect(await listed()).not.toContain(path);
    await young.publish(one.site);
    expect(await listed()).not.toContain(path);
  });

  test('is searched by words, field and tag of what strangers can see, and of nothing else', async () => {
    const one = await live(wren);
    const path = `/${one.address}/`;
    await list(wren, one.site);
    const page = async (change: object) => {
      const { revision: seen } = await wren.state(one.site);
      await wren.call(changePage, {
        params: { site: one.site, page: one.page },
        body: { seen, label: 'Page', change },
      });
    };
    const facts = { ...noFacts, field: 'Horology', tags: ['Brass work'] };
    await page({ title: 'Tidal regulator', facts });
    expect(await listed({ words: 'regulator' })).toEqual([]);
    await wren.publish(one.site);
    for (const search of [
      { words: 'regul' },
      { field: 'horology' },
      { tag: 'brass WORK' },
      { words: 'tidal brass' },
    ])
      expect(await listed(search)).toEqual([path]);
    expect(await listed({ words: 'tidal', field: 'Cooking' })).toEqual([]);
    const told = JSON.parse((await stranger.raw('POST', listPublicSites.path, {})).body) as {
      fields: unknown;
    };
    expect(told.fields).toContainEqual({ name: 'Horology', sites: 1 });
    // The page is closed: nothing of it is found from the next request on, and nothing of it is told.
    await page({ height: 'private' });
    for (const search of [{ words: 'regul' }, { field: 'horology' }, { tag: 'brass work' }])
      expect(await listed(search)).toEqual([]);
    expect((await stranger.raw('POST', listPublicSites.path, {})).body).not.toMatch(
      /Horology|Brass|regulator/,
    );
    expect(await listed()).toContain(path);
  });

  test('comes in another order each day, which is the same all day', async () => {
    for (let n = 0; n < 3; n++) await list(idris, (await live(idris)).site);
    server.clock.now = () => new Date('2027-01-01T01:00:00Z');
    const first = await listed();
    server.clock.now = () => new Date('2027-01-01T23:00:00Z');
    expect(await listed()).toEqual(first);
    const orders = new Set<string>();
    for (let day = 1; day <= 9; day++) {
      server.clock.now = () => new Date(`2027-02-0${day}T12:00:00Z`);
      orders.add((await listed()).join());
    }
    expect(orders.size).toBeGreaterThan(1);
    server.clock.now = () => new Date();
  });

  test('follows every change of any site, and holds nothing that is closed', async () => {
    const one = await live(wren);
    const path = `/${one.address}/`;
    await list(wren, one.site);
    expect(await listed()).toContain(path);
    const set = (change: object) =>
      wren.call(changeSite, { params: { site: one.site }, body: { seen: 0, label: 'Change', change } });
    await set({ height: 'unlisted' });
    expect(await listed()).not.toContain(path);
    expect((await server.get('/sitemap.xml')).body).not.toContain(path);
    await set({ height: 'public' });
    await wren.publish(one.site);
    expect(await listed()).toContain(path);
    expect((await server.get('/sitemap.xml')).body).toContain(`${path}clock/`);
    // One page of it is closed: it goes from the map, the site stays.
    await wren.call(changePage, {
      params: { site: one.site, page: one.page },
      body: { seen: 1e9, label: 'Private', change: { height: 'private' } },
    });
    const map = (await server.get('/sitemap.xml')).body;
    expect(map).toContain(`${path}</loc>`);
    expect(map).not.toContain(`${path}clock/`);
  });

  test('is told a part at a time, each site once', async () => {
    const before = (await listed()).length;
    for (let n = 0; n < 42; n++) {
      const { site } = await idris.site(`Many ${n}`);
      await idris.call(changeSite, {
        params: { site: site.id },
        body: { seen: 0, label: 'Open', change: { height: 'public', address: `many-${n}-sites` } },
      });
      await idris.publish(site.id);
      await list(idris, site.id);
    }
    const all = await listed();
    expect(all.length).toBe(before + 42);
    expect(new Set(all).size).toBe(all.length);
  });
});
