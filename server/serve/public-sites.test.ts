import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { deleteMaterials } from '#contract/materials.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { listPublicSites } from '#contract/public-sites.ts';
import { changeSite } from '#contract/sites.ts';
import { Tidying } from '../publish/tidying.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

const photo = join(import.meta.dirname, '../../demo/pictures/tide-clock/13-dial-too-small.jpg');
let server: TestServer;
let wren: TestMaker;
let idris: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  wren = await server.maker();
  idris = await server.maker('Idris');
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
  async function listed(): Promise<string[]> {
    const paths: string[] = [];
    for (let from: number | null = 0; from !== null;) {
      const reply = await server.get(listPublicSites.path.replace(':from', String(from)));
      expect(reply.headers['x-robots-tag']).toBe('noindex');
      const { sites, next } = listPublicSites.reply.parse(JSON.parse(reply.body));
      paths.push(...sites.map(({ path }) => path));
      from = next;
    }
    return paths;
  }

  test('follows every change of any site, and holds nothing that is closed', async () => {
    const one = await live(wren);
    const path = `/${one.address}/`;
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
    }
    const all = await listed();
    expect(all.length).toBe(before + 42);
    expect(new Set(all).size).toBe(all.length);
  });
});
