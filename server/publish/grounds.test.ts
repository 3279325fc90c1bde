import { afterAll, beforeAll, expect, test } from '@jest/globals';
import sharp from 'sharp';
import { deleteMaterials } from '#contract/materials.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { undoEdit } from '#contract/undo.ts';
import { firstLook, type Look } from '#core/look/look.ts';
import type { Page } from '#core/pages/page.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import { fromParagraphs } from '#core/words/rich-text.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/** What parts and pages lie on, as readers get it. */
let server: TestServer;
let maker: TestMaker;
let site = '';
let clock = '';
const pictures: Record<'wall' | 'sea' | 'sky', string> = { wall: '', sea: '', sky: '' };
const set = async (change: object) =>
  maker.call(changeSite, {
    params: { site },
    body: { seen: (await maker.state(site)).revision, label: 'Site', change },
  });
const setParts = async (parts: Part[], more: Partial<Page> = {}) =>
  maker.call(changePage, {
    params: { site, page: clock },
    body: { seen: (await maker.state(site)).revision, label: 'Page', change: { parts, ...more } },
  });
const wearing = (picture: string | null, more: Partial<Look> = {}): Look => ({
  ...firstLook,
  ...more,
  ground: { ...firstLook.ground, picture },
});
const words = (id: string, change: object): Part =>
  ({ ...newPart('words', id), text: fromParagraphs(`Words of ${id}`), ...change }) as Part;
const page = async () => (await server.get('/on-grounds/tide-clock/')).body;
/** Every picture file that a page names. */
const filesIn = (html: string) =>
  new Set([...html.matchAll(/files\/[0-9a-f]{20}\.avif/g)].map(([name]) => name));
const statusOf = async (path: string) => (await server.get(path)).statusCode;

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
  for (const [name, background] of [
    ['wall', '#7a5a3c'],
    ['sea', '#20405a'],
    ['sky', '#c8d8e8'],
  ] as const) {
    const contents = await sharp({ create: { width: 900, height: 600, channels: 3, background } })
      .jpeg()
      .toBuffer();
    pictures[name] = (await maker.upload(site, `${name}.jpg`, contents)).material;
  }
  clock = (await maker.call(createPage, { params: { site }, body: { title: 'Tide clock', materials: [] } }))
    .page;
  await set({ height: 'public', address: 'on-grounds' });
});
afterAll(() => server.stop());

test('parts on equal grounds lie on one, on right HTML, with the pictures and nothing of the maker’s', async () => {
  const deep = { kind: 'colour', colour: 'quiet', wide: true } as const;
  await setParts([
    words('part-a', {}),
    words('part-b', { ground: deep }),
    words('part-c', { ground: { ...deep } }),
    words('part-d', { ground: { kind: 'picture', picture: pictures.wall, wide: false } }),
    words('part-e', { ground: { kind: 'passing', pictures: [pictures.sea, pictures.sky], side: 'right' } }),
  ]);
  await maker.publish(site);
  const html = await page();
  expect(await htmlFaults(html)).toEqual([]);
  expect([...html.matchAll(/class="band[^"]*"/g)]).toHaveLength(3);
  expect(html).toMatch(/data-ground="quiet">.*Words of part-b.*Words of part-c.*data-ground="picture">/s);
  expect(html).toMatch(/class="band passing passes k\d+" data-side="right" data-pictures="2">/);
  expect(html).not.toContain(pictures.sea);
  // What only lies below says nothing; what stands has its alt text.
  expect(html).toMatch(/class="under k\d+" aria-hidden="true"/);
  expect(filesIn(html).size).toBeGreaterThanOrEqual(3);
  for (const file of filesIn(html)) expect(await statusOf(`/on-grounds/${file}`)).toBe(200);
});

test('a ground of a part that is lowered goes with it on the next request, and its picture with both', async () => {
  const before = filesIn(await page());
  const parts = ((await maker.project(site, clock))?.parts ?? []).map((part) =>
    part.id === 'part-e' ? { ...part, height: 'private' as const } : part,
  );
  await setParts(parts);
  const html = await page();
  expect(html).toContain('Words of part-d');
  expect(html).not.toContain('Words of part-e');
  const after = filesIn(html);
  const gone = [...before].filter((file) => !after.has(file));
  expect(gone.length).toBeGreaterThanOrEqual(2);
  for (const file of gone) expect([file, await statusOf(`/on-grounds/${file}`)]).toEqual([file, 404]);
});

test('the picture below a whole site is on every page of it, and on none of a site that is closed', async () => {
  await setParts([words('part-a', {})]);
  await set({ look: wearing(pictures.sea) });
  await maker.publish(site);
  for (const path of ['/on-grounds/', '/on-grounds/tide-clock/']) {
    const { body } = await server.get(path);
    expect([path, filesIn(body).size > 0, body.includes('class="under')]).toEqual([path, true, true]);
  }
  const [file = ''] = filesIn(await page());
  await set({ height: 'private' });
  expect(await statusOf(`/on-grounds/${file}`)).toBe(404);
  await set({ height: 'public' });
  await maker.publish(site);
  expect(await statusOf(`/on-grounds/${file}`)).toBe(200);
});

test('a picture that is deleted is taken from the look and from grounds in the same step, and undo gives all back', async () => {
  const ground = { kind: 'passing', pictures: [pictures.sea, pictures.wall], side: 'left' } as const;
  await setParts([words('part-a', { ground })]);
  await maker.call(deleteMaterials, {
    params: { site },
    body: { materials: [pictures.sea], readers: 'next-publish' },
  });
  expect((await maker.state(site)).site.look.ground.picture).toBeNull();
  expect((await maker.project(site, clock))?.parts[0]?.ground).toEqual({
    ...ground,
    pictures: [pictures.wall],
  });
  await maker.call(undoEdit, { params: { site }, body: { sure: true } });
  expect((await maker.state(site)).site.look.ground.picture).toBe(pictures.sea);
  expect((await maker.project(site, clock))?.parts[0]?.ground).toEqual(ground);
});

test('a look says how every page opens, and pages come back to their own when it does not', async () => {
  await setParts([words('part-a', {})], { opening: { layout: 'strip', pictures: [pictures.sky] } });
  await set({ look: wearing(null, { opening: 'full' }) });
  await maker.publish(site);
  expect(await page()).toContain('class="opening full"');
  await set({ look: wearing(null) });
  await maker.publish(site);
  expect(await page()).toContain('class="opening with-strip"');
});
