import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { askLink, listLinkAnswers } from '#contract/quick-links.ts';
import { changeSite } from '#contract/sites.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

let web: Server;
let origin = '';
let server: TestServer;
let maker: TestMaker;

beforeAll(async () => {
  web = createServer((request, response) =>
    response
      .writeHead(request.url === '/open' ? 200 : request.url === '/members' ? 401 : 404)
      .end('x'.repeat(9)),
  );
  await new Promise<void>((resolve) => web.listen(0, '127.0.0.1', resolve));
  origin = `http://127.0.0.1:${(web.address() as AddressInfo).port}`;
  server = await TestServer.start({}, { standIns: [origin] });
  maker = await server.maker();
});
afterAll(async () => {
  await server.stop();
  web.closeAllConnections();
  web.close();
});

test('a quick link stands where its maker wants it, and on no page that its reader may not open', async () => {
  const { site, pages } = await maker.site();
  const params = { site: site.id };
  const front = pages[0]?.id ?? '';
  const link = (id: string, more: object) => ({
    ...{ id, name: id, to: `https://${id}.example/`, newWindow: false, inMenu: false },
    ...{ atEnd: 'none' as const, pages: [], ...more },
  });
  const seen = async () => (await maker.state(site.id)).revision;
  const quickLinks = [
    link('in-the-menu', { inMenu: true, newWindow: true }),
    link('everywhere', { atEnd: 'every' }),
    link('on-the-front', { atEnd: 'chosen', pages: [front, 'page-of-nobody'] }),
    link('on-none', { atEnd: 'chosen', pages: ['page-of-nobody'] }),
    { ...link('nameless', { atEnd: 'every' }), name: ' ' },
  ];
  await maker.call(changeSite, {
    params,
    body: {
      ...{ seen: await seen(), label: 'Links' },
      change: { height: 'public', address: 'quick-links', quickLinks },
    },
  });
  await maker.publish(site.id);
  const { body } = await server.get('/quick-links/');
  const [menu = '', end = ''] = body.split('<footer');
  expect(menu).toMatch(/<nav class="menu"[^]*href="https:\/\/in-the-menu\.example\/" target="_blank"/);
  expect(end).not.toContain('in-the-menu.example');
  expect(end).toContain('href="https://everywhere.example/"');
  expect(end).toContain('href="https://on-the-front.example/"');
  for (const none of ['on-none.example', 'nameless.example', 'page-of-nobody'])
    expect(body).not.toContain(none);

  // A script is no web address, wherever it comes from.
  await expect(
    maker.call(changeSite, {
      params,
      body: {
        ...{ seen: await seen(), label: 'Links' },
        change: { quickLinks: [{ ...link('bad-link', {}), to: 'javascript:alert(1)' }] },
      },
    }),
  ).rejects.toMatchObject({ status: 400 });
});

test('it is known whether a link answers, by its maker alone, and never of a private network', async () => {
  const { site } = await maker.site('Another');
  const params = { site: site.id };
  const ask = (to: string) => maker.call(askLink, { params, body: { to } });
  expect(await ask(`${origin}/open`)).toMatchObject({ state: 'read' });
  expect(await ask(`${origin}/members`)).toMatchObject({ state: 'closed' });
  expect(await ask('http://10.0.0.1/')).toMatchObject({ state: 'unreachable' });
  const { answers } = await maker.call(listLinkAnswers, { params });
  // Those that are no links of the site are forgotten but for the last one asked.
  expect(answers).toMatchObject([{ to: 'http://10.0.0.1/', state: 'unreachable' }]);
  const other = await server.maker();
  await expect(other.call(listLinkAnswers, { params })).rejects.toMatchObject({ status: 404 });
  await expect(other.call(askLink, { params, body: { to: `${origin}/open` } })).rejects.toMatchObject({
    status: 404,
  });
});
