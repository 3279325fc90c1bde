import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { getEmbedCode, getEmbedding, setFraming } from '#contract/embedding.ts';
import { makePasses } from '#contract/passes.ts';
import { readEmbed } from '#core/links/oembed.ts';
import { pageFacts } from '#core/links/page-facts.ts';
import { PublishedSite } from '../testing/published-site.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/** Public pages inside other pages, asked from outside. What oEmbed says is read by the reader of other hosts' replies. */
const publicOrigin = 'https://wall.example';
let server: TestServer;
let maker: TestMaker;
let site: PublishedSite;
beforeAll(async () => {
  server = await TestServer.start({ PUBLIC_ORIGIN: publicOrigin });
  maker = await server.maker();
  site = await PublishedSite.open(server, maker);
  await site.page(site.clock, { opening: { layout: 'full', pictures: [site.picture] } });
  await site.publish();
});
afterAll(() => server.stop());

const ask = (url: string, more: Record<string, string> = {}) =>
  server.get(`/api/oembed?${new URLSearchParams({ url, ...more }).toString()}`);
const at = (path: string) => `${publicOrigin}/${site.address}/${path}`;
const policy = async (path: string) =>
  /frame-ancestors [^;]*/.exec(
    String((await server.get(path)).headers['content-security-policy'] ?? ''),
  )?.[0];
const params = () => ({ site: site.site });

describe('oEmbed', () => {
  test('a page says where, and what it says there is a card with its picture', async () => {
    const { oembed } = pageFacts(await site.stranger('tide-clock/'));
    const asked = new URL(oembed ?? '');
    expect([asked.origin, asked.searchParams.get('url')]).toEqual([publicOrigin, at('tide-clock/')]);
    const reply = await server.get(asked.pathname + asked.search);
    expect(reply.statusCode).toBe(200);
    expect(reply.headers['access-control-allow-origin']).toBe('*');
    expect(reply.headers['set-cookie']).toBeUndefined();
    const told = reply.json<Record<string, string | number>>();
    // What oEmbed 1.0 asks of a reply of the type rich, in sections 2.3.4.1 and 2.3.4.4.
    expect(told).toMatchObject({
      ...{ version: '1.0', type: 'rich', title: 'Tide clock', width: 480 },
      ...{ provider_name: 'Wren makes', provider_url: at('') },
      ...{ thumbnail_width: 1200, thumbnail_height: 630 },
    });
    const read = readEmbed(told);
    expect(read).toMatchObject({ title: 'Tide clock', provider: 'Wren makes', player: null });
    expect(read?.picture?.startsWith(at(''))).toBe(true);
    const picture = await server.get(new URL(read?.picture ?? '').pathname);
    expect(picture.headers['content-type']).toBe('image/jpeg');
    expect(told['html']).toContain(`<a href="${at('tide-clock/')}"`);
    expect(told['html']).not.toMatch(/<script|<iframe| on\w+=/);
  });

  test('is found by the address with and without its slash or its file, and keeps to the width asked for', async () => {
    for (const path of [
      'tide-clock',
      'tide-clock/',
      'tide-clock/index.html',
      'tide-clock/#here',
      'tide-clock/?x=1',
    ])
      expect((await ask(at(path))).json<{ title: string }>().title).toBe('Tide clock');
    expect((await ask(at(''), { maxwidth: '300' })).json<{ width: number }>().width).toBe(300);
    for (const odd of ['0', '-5', 'wide', '1e9'])
      expect((await ask(at(''), { maxwidth: odd })).json<{ width: number }>().width).toBe(480);
  });

  test('tells JSON alone', async () => {
    expect((await ask(at(''), { format: 'json' })).statusCode).toBe(200);
    expect((await ask(at(''), { format: 'xml' })).statusCode).toBe(501);
  });

  test('says the same of what never was, what is not for everybody, and what is elsewhere', async () => {
    const { live } = await maker.state(site.site);
    const terms = { opens: 'site' as const, from: null, until: null, timeZone: 'UTC', mayDownload: true };
    const { passes } = await maker.call(makePasses, {
      params: params(),
      body: { passes: [{ ...terms, label: 'Tutors', forWhom: 'P. Lunn' }] },
    });
    const other = await PublishedSite.open(server, maker, 'unlisted');
    const link = (await maker.state(other.site)).live.siteLinkPath ?? 'none';
    const never = await ask(`${publicOrigin}/never-was-here/`);
    expect(never.statusCode).toBe(404);
    const same = [
      at('no-such-page/'),
      `${publicOrigin}/${other.address}/`,
      `${publicOrigin}/${other.address}/tide-clock/`,
      `${publicOrigin}${link}`,
      `${publicOrigin}${live.siteLinkPath ?? '/l/none/'}tide-clock/`,
      `${publicOrigin}${passes[0]?.link ?? ''}`,
      `${publicOrigin}/link-pictures/${site.site}/`,
      `${publicOrigin}/studio/`,
      `${publicOrigin}/`,
      `https://elsewhere.example/${site.address}/`,
      at('files/'),
      at('../../etc/passwd'),
      at('%E0%A4%A'),
      'javascript:alert(1)',
      'no address at all',
      '',
    ];
    for (const url of same) {
      const reply = await ask(url);
      expect([url, reply.statusCode, reply.body]).toEqual([url, 404, never.body]);
      expect(Object.keys(reply.headers).sort()).toEqual(Object.keys(never.headers).sort());
    }
    expect((await server.get('/api/oembed')).body).toBe(never.body);
    expect((await server.get('/api/oembed?url=a&url=b')).statusCode).toBe(400);
  });

  test('of a page that moved is told where it is now; of one that was closed nothing, from the next request', async () => {
    const moving = await PublishedSite.open(server, maker);
    const was = `${publicOrigin}/${moving.address}/tide-clock/`;
    await moving.page(moving.clock, { slug: 'clock-of-tides' });
    await moving.change({ address: `${moving.address}-new` });
    await moving.publish();
    const told = (await ask(was)).json<{ html: string }>();
    expect(told.html).toContain(`href="${publicOrigin}/${moving.address}-new/clock-of-tides/"`);
    await moving.page(moving.clock, { height: 'private' });
    expect((await ask(was)).statusCode).toBe(404);
    expect((await ask(`${publicOrigin}/${moving.address}-new/`)).statusCode).toBe(200);
    await moving.change({ height: 'unlisted' });
    expect((await ask(`${publicOrigin}/${moving.address}-new/`)).statusCode).toBe(404);
  });
});

describe('frames', () => {
  test('nobody may show it until its maker says who; then those, from the next request', async () => {
    expect(await policy(`/${site.address}/`)).toBe("frame-ancestors 'self'");
    const send = (framing: unknown) =>
      maker.call(setFraming, { params: params(), body: { framing } as never });
    await send({ by: 'named', origins: ['https://class.example', 'http://box.example:8080'] });
    expect(await policy(`/${site.address}/`)).toBe(
      "frame-ancestors 'self' https://class.example http://box.example:8080",
    );
    // Those named may; a site that asks by oEmbed does not say which it is, so it gets the card.
    expect((await ask(at(''))).json<{ html: string }>().html).not.toContain('<iframe');
    await send({ by: 'anybody' });
    expect(await policy(`/${site.address}/tide-clock/`)).toBe("frame-ancestors 'self' *");
    const told = (await ask(at('tide-clock/'), { maxheight: '400' })).json<{
      html: string;
      height: number;
    }>();
    expect(told.height).toBe(400);
    expect(readEmbed(told)?.player).toEqual({ url: at('tide-clock/'), widthPx: 960, heightPx: 400 });
    for (const framing of [
      { by: 'named', origins: ["https://a.example; script-src 'unsafe-inline'"] },
      { by: 'x' },
    ])
      await expect(send(framing)).rejects.toMatchObject({ status: 400 });
    await send({ by: 'nobody' });
    expect(await policy(`/${site.address}/`)).toBe("frame-ancestors 'self'");
  });

  test('what is behind a link is in no frame, whatever is allowed', async () => {
    const other = await PublishedSite.open(server, maker, 'unlisted');
    await maker.call(setFraming, { params: { site: other.site }, body: { framing: { by: 'anybody' } } });
    const link = (await maker.state(other.site)).live.siteLinkPath ?? 'none';
    expect(await policy(link)).toBe("frame-ancestors 'self'");
  });

  test('is for its maker alone to ask and to say', async () => {
    const stranger = await server.maker('Sal');
    for (const asked of [
      stranger.call(getEmbedding, { params: params() }),
      stranger.call(getEmbedCode, { params: { ...params(), file: 'index.html' } }),
      stranger.call(setFraming, { params: params(), body: { framing: { by: 'anybody' } } }),
    ])
      await expect(asked).rejects.toMatchObject({ status: 404 });
    expect(await policy(`/${site.address}/`)).toBe("frame-ancestors 'self'");
  });
});

describe('what its maker puts into other pages', () => {
  test('is offered for each page that strangers can open, with its title escaped', async () => {
    await site.page(site.satchel, { title: '"><script>alert(1)</script>' });
    await site.publish();
    const { pages, closed } = await maker.call(getEmbedding, { params: params() });
    expect(closed).toBeNull();
    expect(pages.map(({ file }) => file)).toEqual(
      expect.arrayContaining(['index.html', 'tide-clock/index.html']),
    );
    for (const { file } of pages) {
      const code = await maker.call(getEmbedCode, { params: { ...params(), file } });
      expect(code.frame).toMatch(/^<iframe src="https:\/\/wall\.example\/[^"]+"/);
      expect(code.card + code.frame).not.toContain('<script');
    }
    for (const file of ['no/index.html', '../index.html', 'feed.xml'])
      await expect(maker.call(getEmbedCode, { params: { ...params(), file } })).rejects.toMatchObject({
        status: 404,
      });
  });

  test('says why there is nothing while the site is not public', async () => {
    const other = await PublishedSite.open(server, maker, 'unlisted');
    const told = await maker.call(getEmbedding, { params: { site: other.site } });
    expect(told.pages).toEqual([]);
    expect(told.closed).toContain('Only what is Public');
  });
});
