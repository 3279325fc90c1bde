import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite, checkAddress, giveUpAddress } from '#contract/sites.ts';
import type { Part } from '#core/parts/parts.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Site } from '#core/sites/site.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/** Choosing an address: what is refused, and what is offered instead. */
let server: TestServer;
let wren: TestMaker;
let sal: TestMaker;
let wrens = '';
let sals = '';
beforeAll(async () => {
  server = await TestServer.start();
  [wren, sal] = [await server.maker('Wren'), await server.maker('Sal')];
  wrens = (await wren.site('Wren makes')).site.id;
  sals = (await sal.site('Sal Orme')).site.id;
});
afterAll(() => server.stop());

const change = (who: TestMaker, site: string, change: Partial<Site>) =>
  who.call(changeSite, { params: { site }, body: { seen: 0, label: 'A change', change } });
const check = (who: TestMaker, site: string, address: string) =>
  who.call(checkAddress, { params: { site, address } });

test('one that looks like another site’s, now or before, or like the server’s own, is refused', async () => {
  await change(wren, wrens, { address: 'modern-olive-1' });
  for (const alike of [
    'rnodern-olive-1',
    'modern-0live-l',
    'modem-olive-1'.replace('m-o', 'rn-o'),
    'modern-olive-l',
  ]) {
    const checked = await check(sal, sals, alike);
    expect([alike, checked.free]).toEqual([alike, false]);
    await expect(change(sal, sals, { address: alike })).rejects.toMatchObject({ status: 409 });
  }
  expect((await check(sal, sals, 'modern-0live-l')).why).toContain('looks like one that is taken');
  expect((await check(sal, sals, 'modern-olive-1')).why).toBe('This address is taken.');
  expect((await check(sal, sals, 'ab0ut')).free).toBe(false);
  expect((await check(sal, sals, 'adrnin')).free).toBe(false);
  expect((await check(sal, sals, 'modern-olive-2')).free).toBe(true);

  await change(wren, wrens, { address: 'wren-elsewhere' });
  expect((await check(sal, sals, 'modern-0live-1')).free).toBe(false);
  await wren.call(giveUpAddress, { params: { site: wrens, address: 'modern-olive-1' } });
  expect((await check(sal, sals, 'modern-0live-1')).free).toBe(true);
});

test('a site may change to what looks like its own', async () => {
  await change(sal, sals, { address: 'sal-0rme' });
  expect((await check(sal, sals, 'sal-orme')).free).toBe(true);
  await change(sal, sals, { address: 'sal-orme' });
  await change(sal, sals, { address: 'sal-0rme' });
});

test('what is offered is made of the name, of what its maker does, and of the year', async () => {
  server.clock.now = () => new Date('2031-03-01T12:00:00Z');
  await change(sal, sals, { by: 'Salome Orme' });
  const { page } = await sal.call(createPage, {
    params: { site: sals },
    body: { title: 'Me', materials: [] },
  });
  const { revision } = await sal.state(sals);
  const headline = { ...newPart('headline', 'headline-part'), text: 'Ceramics' } as Part;
  await sal.call(changePage, {
    params: { site: sals, page },
    body: { seen: revision, label: 'Parts', change: { parts: [headline] } },
  });
  const { alsoFree } = await check(sal, sals, 'wren-elsewhere');
  expect(alsoFree).toEqual(['sal-orme', 'salome-orme', 'sal-orme-ceramics', 'salome-orme-ceramics']);
  await change(wren, wrens, { address: 'salome-orme' });
  expect((await check(sal, sals, 'salome-orme')).alsoFree).not.toContain('salome-orme');
  expect((await check(sal, sals, 'kiln')).alsoFree.length).toBe(4);
});
