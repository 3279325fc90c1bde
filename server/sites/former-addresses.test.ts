import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { changeSite, giveUpAddress, listFormerAddresses } from '#contract/sites.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());

test('an old address leads on until it is given up; then it is nobody’s, at once', async () => {
  const site = await PublishedSite.open(server, maker);
  const params = { site: site.site };
  const old = `${site.address}`;
  const ofOld = { ...params, address: old };
  await site.change({ address: `${old}-new`.slice(-30).replace(/^-+/, '') });
  const at = async () => {
    const { statusCode, headers } = await server.get(`/${old}/tide-clock/`);
    return [statusCode, headers.location];
  };
  const { address: now } = (await maker.state(site.site)).site;
  expect(await at()).toEqual([301, `/${now}/tide-clock/`]);
  expect((await maker.call(listFormerAddresses, { params })).addresses).toEqual([old]);

  const other = await server.maker('Ola');
  await expect(other.call(listFormerAddresses, { params })).rejects.toMatchObject({ status: 404 });
  await expect(other.call(giveUpAddress, { params: ofOld })).rejects.toMatchObject({ status: 404 });
  const own = (await other.site()).site.id;
  await expect(other.call(giveUpAddress, { params: { site: own, address: old } })).rejects.toMatchObject({
    status: 404,
  });
  const take = () =>
    other.call(changeSite, {
      params: { site: own },
      body: { seen: 0, label: 'Address', change: { address: old } },
    });
  await expect(take()).rejects.toMatchObject({ status: 409 });
  expect((await at())[0]).toBe(301);

  expect((await maker.call(giveUpAddress, { params: ofOld })).addresses).toEqual([]);
  expect(await at()).toEqual([404, undefined]);
  await expect(maker.call(giveUpAddress, { params: ofOld })).rejects.toMatchObject({ status: 404 });
  await take();
});
