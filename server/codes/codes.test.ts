import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { cardsPage, dropShortCode, getLinkCodes, makeShortCode, qrFile } from '#contract/codes.ts';
import { changePass, makePasses } from '#contract/passes.ts';
import { givenLinkName } from '#core/access/given-link.ts';
import { htmlFaults } from '../testing/html-faults.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

let server: TestServer;
let maker: TestMaker;
beforeAll(async () => {
  server = await TestServer.start();
  maker = await server.maker();
});
afterAll(() => server.stop());
afterEach(() => {
  server.clock.now = () => new Date();
});

async function opened(pass: object = {}) {
  const site = await PublishedSite.open(server, maker);
  const params = { site: site.site };
  const { passes } = await maker.call(makePasses, {
    params,
    body: { passes: [{ label: 'Fair', opens: 'site', timeZone: 'UTC', ...pass }] },
  });
  const [made] = passes;
  const link = givenLinkName({ kind: 'pass', pass: made?.id ?? '' });
  return { site, pass: made, ofPass: { ...params, link }, ofAddress: { ...params, link: 'address' } };
}
const typed = (code: string) => server.get(`/k/${encodeURIComponent(code)}`);

describe('short codes', () => {
  test('lead to the address, however they are typed, and nowhere once they are given up', async () => {
    const { site, ofAddress } = await opened();
    const { short } = await maker.call(makeShortCode, { params: ofAddress });
    expect(short?.code).toMatch(/^[A-Z]{6} \d\d$/);
    for (const code of [short?.code ?? '', (short?.code ?? '').toLowerCase().replace(' ', '')]) {
      const reply = await typed(code);
      expect([reply.statusCode, reply.headers.location]).toEqual([302, `/${site.address}/`]);
    }
    // The same again is the same code.
    expect((await maker.call(makeShortCode, { params: ofAddress })).short).toEqual(short);
    await maker.call(dropShortCode, { params: ofAddress });
    expect((await typed(short?.code ?? '')).statusCode).toBe(404);
  });

  test('of what is closed look as if they never were', async () => {
    const { site, ofAddress } = await opened();
    const { short } = await maker.call(makeShortCode, { params: ofAddress });
    await site.change({ height: 'unlisted' });
    const [shut, never] = [await typed(short?.code ?? ''), await typed('KARMET 27')];
    const headers = ({ date: _, ...rest }: Record<string, unknown>) =>
      Object.fromEntries(Object.entries(rest).filter(([name]) => !name.startsWith('x-ratelimit')));
    expect([shut.statusCode, shut.body]).toEqual([404, never.body]);
    expect(headers(shut.headers)).toEqual(headers(never.headers));
  });

  test('lead to a pass only while that asks for a password, and is open', async () => {
    const { pass, ofPass } = await opened();
    await expect(maker.call(makeShortCode, { params: ofPass })).rejects.toMatchObject({ status: 409 });
    const change = (body: object) =>
      maker.call(changePass, { params: { site: ofPass.site, pass: pass?.id ?? '' }, body });
    await change({ password: 'reed lamp tide' });
    const { short } = await maker.call(makeShortCode, { params: ofPass });
    const leads = async () => (await typed(short?.code ?? '')).headers.location;
    expect(await leads()).toBe(pass?.link);
    await change({ password: null });
    expect(await leads()).toBeUndefined();
    expect((await maker.call(getLinkCodes, { params: ofPass })).short).toBeNull();
    await change({ password: 'reed lamp tide' });
    expect(await leads()).toBe(pass?.link);
    await change({ on: false });
    expect(await leads()).toBeUndefined();
    await change({
      on: true,
      terms: { label: 'Fair', opens: 'site', timeZone: 'UTC', until: '2026-12-05T00:00' },
    });
    expect(await leads()).toBe(pass?.link);
    server.clock.now = () => new Date('2026-12-05T00:00:01Z');
    expect(await leads()).toBeUndefined();
  });

  test('never lead to a link that is only for those who have it', async () => {
    const { ofAddress } = await opened();
    const params = { ...ofAddress, link: 'site-link' };
    await expect(maker.call(makeShortCode, { params })).rejects.toMatchObject({ status: 409 });
  });

  test('are typed into a field that works without a script, and cannot be tried without end', async () => {
    const page = await server.get('/k', { 'accept-language': 'de' });
    expect(page.body).toContain('Code von einer Karte');
    expect(await htmlFaults(page.body)).toEqual([]);
    expect((await server.get('/k?code=karmet+27')).headers.location).toBe('/k/karmet%2027');
    const statuses = [];
    for (let at = 0; at < 61; at++)
      statuses.push((await server.get('/k/KARMET27', { 'x-forwarded-for': '192.0.2.9' })).statusCode);
    expect(statuses.at(-1)).toBe(429);
  });
});

describe('what is printed', () => {
  test('a code file leads to the very link, of an address and of a pass', async () => {
    const { site, pass, ofPass, ofAddress } = await opened();
    for (const [{ link }, path] of [
      [ofAddress, `/${site.address}/`],
      [ofPass, pass?.link],
    ] as const)
      for (const form of ['png', 'svg'] as const) {
        const reply = await maker.raw('GET', qrFile(site.site, link, form, 30));
        expect(reply.headers['content-disposition']).toContain(`code-30mm.${form}`);
        const { data, info } = await sharp(reply.rawPayload)
          .resize(500, 500, { kernel: 'nearest' })
          .flatten({ background: '#fff' })
          .ensureAlpha()
          .raw()
          .toBuffer({ resolveWithObject: true });
        const read = jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data ?? '';
        expect(new URL(read).pathname).toBe(path);
      }
  });

  test('cards say the name of the site, its code and how to type it, in its look', async () => {
    const { site, ofAddress } = await opened();
    await maker.call(makeShortCode, { params: ofAddress });
    const { short } = await maker.call(getLinkCodes, { params: ofAddress });
    const page = await maker.raw('GET', cardsPage(site.site, 'address'));
    expect(await htmlFaults(page.body)).toEqual([]);
    expect(page.body.match(/class="card"/g)).toHaveLength(10);
    expect(page.body).toContain(short?.code ?? 'none');
    const css = /href="(assets\/[^"]+\.css)"/.exec(page.body)?.[1] ?? '';
    const sheet = await maker.raw('GET', cardsPage(site.site, 'address') + css);
    expect(sheet.headers['content-type']).toContain('text/css');
    const font = /url\(([^)]+\.woff2)\)/.exec(sheet.body)?.[1]?.replace(/["']/g, '') ?? '';
    const at = new URL(font, `http://x${cardsPage(site.site, 'address')}${css}`).pathname;
    expect((await maker.raw('GET', at)).statusCode).toBe(200);
  });

  test('is a maker’s own', async () => {
    const { site, ofAddress } = await opened();
    const other = await server.maker('Ola');
    for (const route of [getLinkCodes, makeShortCode, dropShortCode])
      await expect(other.call(route, { params: ofAddress })).rejects.toMatchObject({ status: 404 });
    for (const path of [qrFile(site.site, 'address', 'svg', 30), cardsPage(site.site, 'address')]) {
      expect((await other.raw('GET', path)).statusCode).toBe(404);
      expect((await server.get(path)).statusCode).toBe(401);
    }
    expect((await maker.raw('GET', qrFile(site.site, 'pass-unknown-1', 'svg', 30))).statusCode).toBe(404);
    expect((await maker.raw('GET', qrFile(site.site, 'nonsense', 'svg', 30))).statusCode).toBe(400);
  });
});
