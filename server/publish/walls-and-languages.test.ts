import { afterAll, beforeAll, expect, test } from '@jest/globals';
import sharp from 'sharp';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { wallArrangements } from '#core/sites/wall-arrangement.ts';
import { wallLabels } from '#core/sites/wall-labels.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;
let site = '';
const seen = async () => (await maker.state(site)).revision;
const set = async (change: object) =>
  maker.call(changeSite, { params: { site }, body: { seen: await seen(), label: 'Site', change } });

beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
  await set({ height: 'public', address: 'many-walls', wallDates: true, wallTags: true });
  for (const [at, title] of ['Tide clock', 'Bee hotel', 'Words alone'].entries()) {
    const picture = await sharp({ create: { width: 600, height: 400, channels: 3, background: '#345678' } })
      .composite([{ input: Buffer.from([at]), raw: { width: 1, height: 1, channels: 1 } }])
      .jpeg()
      .toBuffer();
    const { material } = await maker.upload(site, `${at}.jpg`, picture);
    const { page } = await maker.call(createPage, {
      params: { site },
      body: { title, materials: title === 'Words alone' ? [] : [material] },
    });
    const facts = { from: '2025-09', to: '2025-12', tags: ['clock'] };
    await maker.call(changePage, {
      params: { site, page },
      body: {
        ...{ seen: await seen(), label: 'Facts' },
        change: {
          summary: `About ${title}.`,
          facts: {
            ...facts,
            ...{ when: '', role: '', withWhom: [], madeWith: '', materials: '', field: '', course: '' },
            licence: null,
          },
          ...(title === 'Bee hotel' && { language: 'ar' }),
        },
      },
    });
  }
});
afterAll(() => server.stop());

test.each(wallArrangements.flatMap((wall) => wallLabels.map((labels) => [wall, labels] as const)))(
  'a wall as %s with names %s names each piece of work once, and is right HTML',
  async (wall, labels) => {
    await set({ wall, wallLabels: labels });
    await maker.publish(site);
    const { body } = await server.get('/many-walls/');
    expect(await htmlFaults(body)).toEqual([]);
    for (const title of ['Tide clock', 'Bee hotel', 'Words alone'])
      expect([title, body.split(`>${title}</a>`).length - 1]).toEqual([title, 1]);
    expect(body).toContain('September to December 2025 · clock');
  },
);

test('a page in a language of its own stands in the frame of its site, each in its words and direction', async () => {
  await set({ language: 'de', wall: 'rows', wallLabels: 'below', welcome: false });
  await maker.publish(site);
  const own = (await server.get('/many-walls/bee-hotel/')).body;
  expect(await htmlFaults(own)).toEqual([]);
  expect(own).toMatch(/^<!doctype html>\n<html lang="ar" dir="rtl"/);
  expect(own).toContain('<header class="top-line" lang="de" dir="ltr">');
  expect(own).toMatch(/<footer class="end-line" lang="de" dir="ltr">[^]*Texte und Bilder/);
  // Nobody has written Arabic words yet: English ones say that they are.
  expect(own).toContain('<dt lang="en">When</dt>');
  const other = (await server.get('/many-walls/tide-clock/')).body;
  expect(await htmlFaults(other)).toEqual([]);
  expect(other).toMatch(/^<!doctype html>\n<html lang="de" dir="ltr"/);
  expect(other).toContain('<dt>Zeitraum</dt><dd>September bis Dezember 2025</dd>');
  expect(other).toContain('"inLanguage":"de"');
  expect(other).not.toContain('<header class="top-line" lang=');
  // Without a welcome the title is still the page's, for people who hear it.
  const front = (await server.get('/many-walls/')).body;
  expect(await htmlFaults(front)).toEqual([]);
  expect(front).toContain('<h1 class="unseen">');
  expect(front).toMatch(/<h2 lang="ar" dir="rtl">/);
});
