import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { changePage, createPage } from '#contract/pages.ts';
import { bringBackRelease } from '#contract/publishing.ts';
import { changeSite, setUnderAge } from '#contract/sites.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

/** What readers get of somebody under 18, from outside and by HTTP. */
let server: TestServer;
let maker: TestMaker;
let site = '';
let second = '';
let page = '';
let link = '';
/** Where the photo was to be had while it was shown. */
let photo = '';

const part = (kind: Part['kind'], id: string, more: object): Part =>
  ({ ...newPart(kind, id), height: 'public', ...more }) as Part;
const change = (of: string, fields: object) =>
  maker.call(changeSite, { params: { site: of }, body: { seen: 1e9, label: 'Site', change: fields } });
const say = (underAge: boolean) => maker.call(setUnderAge, { params: { site }, body: { underAge } });
const status = async (path: string) => (await server.get(path)).statusCode;
const read = async (path: string) => (await server.get(path)).body;
const secrets = ['Wren Tolliver', '3 Quay Lane', 'Saltmere', '_write/', 'Write to me at the slip'];
/** Which of what must not be known stands on a page. */
const told = async (path: string) => {
  const body = await read(path);
  return secrets.filter((one) => body.includes(one));
};

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
  second = (await maker.site('Second')).site.id;
  const bytes = await readFile(join(import.meta.dirname, '../../demo/pictures/site/05-portrait-apron.jpg'));
  const { material } = await maker.upload(site, 'me.jpg', bytes);
  const made = await maker.call(createPage, {
    params: { site },
    body: { kind: 'about', title: 'About', materials: [] },
  });
  page = made.page;
  const parts = [
    part('portrait', 'part-face', { form: 'photo', material, face: true }),
    part('portrait', 'part-cut', { form: 'drawn' }),
    part('full-name', 'part-name', { text: 'Wren Tolliver' }),
    part('headline', 'part-head', { text: 'Useful things for a harbour town' }),
    part('place', 'part-street', { exactness: 'street', text: '3 Quay Lane' }),
    part('place', 'part-town', { exactness: 'town', text: 'Saltmere' }),
    part('place', 'part-region', { exactness: 'region', text: 'The north coast' }),
    part('contact', 'part-write', { words: 'Write to me at the slip' }),
  ];
  await maker.call(changePage, {
    params: { site, page },
    body: { seen: 1e9, label: 'About', change: { parts, height: 'public' } },
  });
  await change(site, { height: 'public', address: 'wren', contact: 'form' });
  await change(second, { height: 'public', address: 'second' });
  await maker.publish(second);
  link = (await maker.publish(site)).live?.siteLinkPath ?? '';
});
afterAll(() => server.stop());

describe('somebody who says that they are under 18', () => {
  test('was open to everybody before, with all that was chosen', async () => {
    expect(await status('/wren/')).toBe(200);
    expect(await status('/second/')).toBe(200);
    expect(await told('/wren/about/')).toEqual([
      'Wren Tolliver',
      '3 Quay Lane',
      '_write/',
      'Write to me at the slip',
    ]);
    const name = /files\/[^"\s]+\.jpg/.exec(await read(`${link}about/`))?.[0] ?? '';
    photo = link + name;
    expect([name === '', await status(photo)]).toEqual([false, 200]);
  });

  test('nobody else can say so', async () => {
    const other = await server.maker('Ash');
    await expect(
      other.call(setUnderAge, { params: { site }, body: { underAge: true } }),
    ).rejects.toMatchObject({
      status: 404,
    });
    expect(await status('/wren/')).toBe(200);
  });

  test('is closed to strangers on all sites with the next request, and to the link as far as it tells who they are', async () => {
    await say(true);
    for (const path of ['/wren/', '/wren/about/', '/second/'])
      expect([path, await status(path)]).toEqual([path, 404]);
    // The same bytes as of what never was.
    expect(await read('/wren/')).toBe(await read('/nobody-ever/'));
    expect(await read('/')).not.toContain('/wren/');
    expect(await read('/sitemap.xml')).not.toContain('/wren/');
    expect(await status(link)).toBe(200);
    for (const path of [link, `${link}about/`]) expect([path, await told(path)]).toEqual([path, []]);
    expect(await status(`${link}_write/`)).toBe(404);
    expect(await status(photo)).toBe(404);
    const body = await read(`${link}about/`);
    expect(body).toContain('Useful things for a harbour town');
    // What may be known stands where the rest stood.
    expect(body).toContain('The north coast');
    expect(body).toContain('class="portrait cut"');
  });

  test('stays so through a publish, a new site, a higher height and an older release', async () => {
    await change(site, { searchEngines: true });
    await maker.publish(site);
    expect([await status('/wren/'), await told(`${link}about/`)]).toEqual([404, []]);
    expect((await maker.state(site)).live.readersReach).toBe('unlisted');
    const third = await maker.site('Third');
    expect(third.site.underAge).toBe(true);
    // The first release was open to everybody.
    await maker.call(bringBackRelease, { params: { site, number: '1' } });
    expect([await status('/wren/'), await told(link)]).toEqual([404, []]);
    expect([await told(`${link}about/`), await status(photo)]).toEqual([[], 404]);
    await maker.publish(site);
  });

  test('and has what was chosen again: in the draft at once, for readers with a publish', async () => {
    await say(false);
    const { site: own, live } = await maker.state(site);
    expect([own.height, own.underAge]).toEqual(['public', false]);
    expect(live.waiting.flatMap(({ what }) => what)).toContain('nothing is held down for an age');
    expect([await status('/wren/'), await told(`${link}about/`)]).toEqual([404, []]);
    await maker.publish(site);
    expect(await status('/wren/')).toBe(200);
    expect(await told('/wren/about/')).toContain('Wren Tolliver');
    expect(await told(link)).toEqual(['_write/']);
  });

  test('a face that is said to be one while the switch is on is taken from readers at once', async () => {
    await say(true);
    await maker.publish(site);
    const parts = (await maker.state(site)).pages.flatMap((one) => ('parts' in one ? one.parts : []));
    const face = (known: boolean) =>
      maker.call(changePage, {
        params: { site, page },
        body: {
          seen: 1e9,
          label: 'Portrait',
          change: {
            parts: parts.map((one) => (one.id === 'part-face' ? { ...one, face: known } : one)) as Part[],
          },
        },
      });
    await face(false);
    await maker.publish(site);
    expect(await status(photo)).toBe(200);
    await face(true);
    expect(await status(photo)).toBe(404);
    expect(await read(`${link}about/`)).toContain('class="portrait cut"');
  });
});
