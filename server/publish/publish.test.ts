import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { bringBackRelease, listReleases } from '#contract/publishing.ts';
import { changeMaterial } from '#contract/materials.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { type SiteState } from '#contract/site-state.ts';
import { changeSite, renewLink } from '#contract/sites.ts';
import { fromParagraphs } from '#core/words/rich-text.ts';
import type { Height } from '#core/access/height.ts';
import { fromStored } from '#core/stored/stored-json.ts';
import { storedManifest } from '#core/stored/stored-kinds.ts';
import { manifestOf } from '../db/release-manifest.ts';
import { sweep } from '../media/sweep.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

const pictures = join(import.meta.dirname, '../../demo/pictures');
let server: TestServer;
let maker: TestMaker;

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());

const setHeight = (site: string, height: Height) =>
  maker.call(changeSite, { params: { site }, body: { seen: 0, label: 'Height', change: { height } } });

async function change(state: SiteState, page: string, content: Record<string, unknown>) {
  const { revision } = await maker.state(state.site.id);
  return maker.call(changePage, {
    params: { site: state.site.id, page },
    body: { seen: revision, label: 'Change', change: content },
  });
}

/** A site with two projects: one with pictures, one with words only. */
async function twoProjects() {
  const state = await maker.site();
  const site = state.site.id;
  const ids: string[] = [];
  for (const name of ['06-bench-shot-rotated.jpg', '07-hand-close-up.jpg', '13-dial-too-small.jpg'])
    ids.push((await maker.upload(site, name, await readFile(join(pictures, 'tide-clock', name)))).material);
  const clock = (
    await maker.call(createPage, { params: { site }, body: { title: 'Tide clock', materials: ids } })
  ).page;
  const satchel = (
    await maker.call(createPage, { params: { site }, body: { title: 'Satchel', materials: [] } })
  ).page;
  await change(state, satchel, {
    summary: 'From one sail',
    parts: [{ id: 'words1', kind: 'words', height: 'public', text: fromParagraphs('Sailcloth is strong.') }],
  });
  return { site, clock, satchel, ids, state };
}

describe('publishing', () => {
  test('a private site publishes to nobody; an unlisted one opens by its link only; a public one by its address', async () => {
    const { site } = await twoProjects();
    await maker.publish(site);
    expect((await maker.state(site)).live.siteLinkPath).toBeNull();

    await setHeight(site, 'unlisted');
    const unlisted = await maker.publish(site);
    expect(unlisted.state).toBe('done');
    const link = unlisted.live?.siteLinkPath ?? '';
    expect(link).toMatch(/^\/l\/[\w-]{22}\/$/);
    const page = await server.get(link);
    expect(page.statusCode).toBe(200);
    expect(page.body).toContain('Tide clock');
    expect(page.headers['x-robots-tag']).toBe('noindex');
    expect(page.headers['referrer-policy']).toBe('no-referrer');
    expect(unlisted.live?.addressPath).toBeNull();

    const address = `wren-${Date.now()}`;
    await maker.call(changeSite, {
      params: { site },
      body: { seen: 0, label: 'Open', change: { height: 'public', address, searchEngines: true } },
    });
    expect((await server.get(`/${address}/`)).statusCode).toBe(404);
    await maker.publish(site);
    const open = await server.get(`/${address}/`);
    expect(open.statusCode).toBe(200);
    expect(open.headers['x-robots-tag']).toBeUndefined();
    expect((await server.get('/sitemap.xml')).body).toContain(`/${address}/tide-clock/`);
    // Its address is whole there, as the sitemap protocol wants it (sitemaps.org, “Specifying the Sitemap location”).
    expect((await server.get('/robots.txt')).body).toMatch(/^Sitemap: https?:\/\/[^/]+\/sitemap\.xml$/m);
    // The link people already have goes on working.
    expect((await server.get(link)).statusCode).toBe(200);

    // Another address: the old one leads on.
    await maker.call(changeSite, {
      params: { site },
      body: { seen: 0, label: 'Move', change: { address: `${address}-2` } },
    });
    const moved = await server.get(`/${address}/tide-clock/`);
    expect([moved.statusCode, moved.headers.location]).toEqual([301, `/${address}-2/tide-clock/`]);

    // Private at once: both ways in answer exactly like an address that never existed.
    await setHeight(site, 'private');
    const nobody = await server.get('/never-existed/');
    for (const path of [
      `/${address}-2/`,
      `/${address}-2/tide-clock/`,
      `/${address}/`,
      link,
      `${link}tide-clock/`,
      '/l/wrong-key-wrong-key-wro/',
    ]) {
      const shut = await server.get(path);
      expect([shut.statusCode, shut.body, { ...shut.headers, date: '' }]).toEqual([
        404,
        nobody.body,
        { ...nobody.headers, date: '' },
      ]);
    }
    expect((await server.get('/sitemap.xml')).body).not.toContain(address);
  });

  test('readers keep the old words until the next publish, at the same link', async () => {
    const { site, satchel, state } = await twoProjects();
    await setHeight(site, 'unlisted');
    const link = (await maker.publish(site)).live?.siteLinkPath ?? '';
    await change(state, satchel, { summary: 'From an old spinnaker' });
    const waiting = (await maker.state(site)).live.waiting;
    expect(waiting).toEqual([expect.objectContaining({ page: satchel, what: ['summary'] })]);
    expect((await server.get(`${link}satchel/`)).body).toContain('From one sail');
    expect((await server.get(`${link}satchel/`)).body).not.toContain('spinnaker');
    const again = await maker.publish(site);
    expect(again.live?.siteLinkPath).toBe(link);
    expect(again.live?.waiting).toEqual([]);
    expect((await server.get(`${link}satchel/`)).body).toContain('spinnaker');

    const releases = await maker.call(listReleases, { params: { site } });
    expect(releases.map((release) => [release.number, release.live])).toEqual([
      [2, true],
      [1, false],
    ]);
    await maker.call(bringBackRelease, { params: { site, number: '1' } });
    expect((await server.get(`${link}satchel/`)).body).toContain('From one sail');
  });

  test('an unlisted page in a public site has its own link and stands nowhere else', async () => {
    const { site, clock, state } = await twoProjects();
    const address = `own-link-${Date.now()}`;
    await maker.call(changeSite, {
      params: { site },
      body: { seen: 0, label: 'Open', change: { height: 'public', address } },
    });
    await change(state, clock, { height: 'unlisted', summary: 'One hand for the tide' });
    const { live } = await maker.publish(site);
    const home = await server.get(`/${address}/`);
    expect(home.body).not.toContain('Tide clock');
    expect((await server.get(`/${address}/tide-clock/`)).statusCode).toBe(404);
    const own = live?.pageLinkPaths[clock] ?? '';
    const page = await server.get(own);
    expect(page.body).toContain('One hand for the tide');
    // Its pictures are fetched through it and through nothing else.
    const file = /files\/[\w.]+/.exec(page.body)?.[0] ?? '';
    expect((await server.get(own + file)).statusCode).toBe(200);
    expect((await server.get(`/${address}/${file}`)).statusCode).toBe(404);
    // A renewed link works on the next request, the old one does not.
    const renewed = await maker.call(renewLink, { params: { site, thing: clock } });
    expect((await server.get(own)).statusCode).toBe(404);
    expect((await server.get(renewed.pageLinkPaths[clock] ?? '')).statusCode).toBe(200);
  });

  test('lowering a page closes it at once, with its card on the wall and with older releases', async () => {
    const { site, clock, satchel, state } = await twoProjects();
    await setHeight(site, 'unlisted');
    await maker.publish(site);
    await change(state, satchel, { summary: 'Not for readers yet' });
    const { live } = await change(state, clock, { height: 'private' });
    const link = live.siteLinkPath ?? '';
    expect((await server.get(`${link}tide-clock/`)).statusCode).toBe(404);
    const home = (await server.get(link)).body;
    expect(home).not.toContain('Tide clock');
    // Closing something publishes nothing else.
    expect(home).toContain('From one sail');
    expect(home).not.toContain('Not for readers yet');
    expect(live.waiting.map((one) => one.page)).toEqual([satchel]);
    await maker.call(bringBackRelease, { params: { site, number: '1' } });
    expect((await server.get(`${link}tide-clock/`)).statusCode).toBe(404);
    expect((await server.get(link)).body).not.toContain('Tide clock');
  });

  test('no published picture carries metadata, and the original cannot be fetched', async () => {
    const { site, ids } = await twoProjects();
    await setHeight(site, 'unlisted');
    const link = (await maker.publish(site)).live?.siteLinkPath ?? '';
    const { body } = await server.get(`${link}tide-clock/`);
    const files = [...new Set(body.match(/files\/[\w.]+/g))];
    expect(files.length).toBeGreaterThan(8);
    for (const file of files) {
      const picture = await server.get(link + file);
      expect(picture.headers['cache-control']).toContain('immutable');
      const meta = await sharp(picture.rawPayload).metadata();
      expect([meta.exif, meta.xmp, meta.iptc, meta.orientation]).toEqual([
        undefined,
        undefined,
        undefined,
        undefined,
      ]);
    }
    const state = await maker.state(site);
    const original = state.materials.find((material) => material.id === ids[0])?.original ?? '';
    expect(body).not.toContain(original.slice(0, 20));
    // The turned phone picture stands upright.
    const upright = await sharp((await server.get(link + (files[0] ?? ''))).rawPayload).metadata();
    expect(upright.height).toBeGreaterThan(upright.width);
  });

  test('pages are valid HTML, need no script, and keep every picture’s place free', async () => {
    const { site, ids } = await twoProjects();
    await maker.call(changeMaterial, {
      params: { site, material: ids[1] ?? '' },
      body: { seen: 1e9, label: 'Alt', change: { alt: 'A <brass> hand & "waves"', caption: 'Filed by eye' } },
    });
    await setHeight(site, 'unlisted');
    const link = (await maker.publish(site)).live?.siteLinkPath ?? '';
    for (const path of ['', 'tide-clock/', 'satchel/']) {
      const { body } = await server.get(link + path);
      expect({ path, faults: await htmlFaults(body) }).toEqual({ path, faults: [] });
      for (const img of body.match(/<img[^>]*>/g) ?? [])
        expect(img).toMatch(/width="\d+".*height="\d+"|height="\d+".*width="\d+"/);
    }
    expect(await htmlFaults((await server.get('/nothing-here/')).body)).toEqual([]);
  });

  test('compressed forms, ETags and conditional requests', async () => {
    const { site } = await twoProjects();
    await setHeight(site, 'unlisted');
    const link = (await maker.publish(site)).live?.siteLinkPath ?? '';
    const plain = await server.get(link);
    const br = await server.get(link, { 'accept-encoding': 'gzip, br' });
    expect(br.headers['content-encoding']).toBe('br');
    expect(br.rawPayload.length).toBeLessThan(plain.rawPayload.length);
    expect(br.headers.etag).not.toBe(plain.headers.etag);
    const again = await server.get(link, {
      'accept-encoding': 'br',
      'if-none-match': String(br.headers.etag),
    });
    expect([again.statusCode, again.rawPayload.length]).toEqual([304, 0]);
  });

  test('publishing again renders only what changed', async () => {
    const { site, satchel, state } = await twoProjects();
    await setHeight(site, 'unlisted');
    await maker.publish(site);
    const first = await server.database.db.query.releases.findMany();
    const treeOf = (release?: { manifest: object }) =>
      (release && fromStored(storedManifest, release.manifest).siteLink) ?? {};
    const before = treeOf(first.find((release) => release.siteId === site));
    await change(state, satchel, {
      parts: [
        { id: 'words1', kind: 'words', height: 'public', text: fromParagraphs('Sailcloth is very strong.') },
      ],
    });
    await maker.publish(site);
    const all = await server.database.db.query.releases.findMany();
    const after = treeOf(all.find((release) => release.siteId === site && release.number === 2));
    const changed = Object.keys(after).filter((path) => after[path]?.hash !== before[path]?.hash);
    expect(changed).toEqual(['satchel/index.html']);
  });

  test('of several releases one is kept whole, and each is brought back as it was, also after a sweep', async () => {
    const { site, satchel } = await twoProjects();
    await setHeight(site, 'unlisted');
    const link = (await maker.publish(site)).live?.siteLinkPath ?? '';
    const pages = async () => {
      const all: Record<string, string> = {};
      for (const path of ['', 'satchel/']) all[path] = (await server.get(link + path)).body;
      const names = Object.values(all).flatMap((body) =>
        [...body.matchAll(/files\/[0-9a-f]+\.\w+/g)].map(([name]) => name),
      );
      for (const name of new Set(names)) {
        const { statusCode, rawPayload } = await server.get(link + name);
        expect(statusCode).toBe(200);
        all[name] = createHash('sha256').update(rawPayload).digest('hex');
      }
      return all;
    };
    const were = [await pages()];
    for (const summary of ['From an old spinnaker', 'From a new one', '']) {
      await change(await maker.state(site), satchel, { summary });
      await maker.publish(site);
      were.push(await pages());
    }
    expect(new Set(were.map((one) => one['satchel/'])).size).toBe(4);
    const whole = async () =>
      (await server.database.db.query.releases.findMany())
        .filter(({ siteId, against }) => siteId === site && against === null)
        .map(({ number }) => number);
    expect(await whole()).toEqual([4]);
    for (const number of [1, 3, 2, 1, 4]) {
      await maker.call(bringBackRelease, { params: { site, number: String(number) } });
      expect(await pages()).toEqual(were[number - 1]);
      expect(await whole()).toEqual([number]);
      await sweep(
        {
          db: server.database.db,
          blobs: server.blobs,
          assets: server.assets,
          limits: { maxTotalBytes: 1e12 },
        },
        { freshFor: -1 },
      );
      // What readers asked for lately is in memory: whether it is on the disk yet is asked there.
      for (const { id, siteId } of await server.database.db.query.releases.findMany())
        if (siteId === site)
          for (const { hash } of Object.values((await manifestOf(server.database.db, id)).siteLink ?? {}))
            expect(await server.blobs.has(hash)).toBe(true);
    }
  });
});
