import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { bringBackRelease } from '#contract/publishing.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { ceilings, sites } from './schema.ts';
import { TestServer } from '../testing/test-server.ts';
import { ceilingsOfOlderData } from './ceilings-of-older-data.ts';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

test('what was lowered before ceilings were written down stays closed when an old release is brought back', async () => {
  const maker = await server.maker();
  const site = (await maker.site()).site.id;
  const params = { site };
  const { page } = await maker.call(createPage, { params, body: { title: 'Clock', materials: [] } });
  const height = (change: object) =>
    maker.call(changePage, { params: { site, page }, body: { seen: 1e9, label: 'Height', change } });
  await maker.call(changeSite, {
    params,
    body: { seen: 0, label: 'Open', change: { height: 'public', address: 'older-data' } },
  });
  await maker.publish(site);
  await height({ height: 'private' });
  await maker.publish(site);
  // As the version before kept it.
  await server.database.db.delete(ceilings);
  await server.database.db.update(sites).set({ ceilingsKnown: false });

  expect(await ceilingsOfOlderData(server.database.db)).toBe(1);
  expect(await ceilingsOfOlderData(server.database.db)).toBe(0);
  await height({ height: 'public' });
  await maker.call(bringBackRelease, { params: { site, number: '1' } });
  expect((await server.get('/older-data/clock/')).statusCode).toBe(404);
  expect((await server.get('/older-data/')).statusCode).toBe(200);
  await maker.publish(site);
  expect((await server.get('/older-data/clock/')).statusCode).toBe(200);
});
