import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { askLink, askSomeLinks, listLinkAnswers } from '#contract/link-answers.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { publishOutlook } from '#contract/publishing.ts';
import { changeSite } from '#contract/sites.ts';
import { newPart } from '#core/parts/new-part.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

let web: Server;
const asked: string[] = [];
let origin = '';
let server: TestServer;
let maker: TestMaker;

beforeAll(async () => {
  web = createServer((request, response) => {
    asked.push(request.url ?? '');
    // The first and the last status move for good, the other two for now (RFC 9110, 15.4).
    const onward = { '/moved-301': 301, '/moved-308': 308, '/for-now-302': 302, '/for-now-307': 307 }[
      request.url ?? ''
    ];
    if (onward !== undefined) response.writeHead(onward, { location: '/open' }).end();
    else if (request.url === '/moved-then-for-now')
      response.writeHead(301, { location: '/for-now-302' }).end();
    else
      response
        .writeHead(request.url === '/open' ? 200 : request.url === '/members' ? 401 : 404)
        .end('x'.repeat(9));
  });
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

test('links in words are tried when their maker asks for it, some at a time, each once a month, and never those inside', async () => {
  const { site } = await maker.site('With links');
  const params = { site: site.id };
  const inside = 'http://127.0.0.1:4180/somebody/';
  const paths = [
    ...['/open', '/moved-301', '/moved-308', '/for-now-302', '/for-now-307', '/moved-then-for-now'],
    ...['/gone-1', '/gone-2'],
  ];
  const contact = (to: string, at: number) => ({
    ...newPart('contact', `contact-${at}`),
    link: to === inside ? inside : `${origin}${to}`,
  });
  const { page } = await maker.call(createPage, { params, body: { title: 'Links', materials: [] } });
  await maker.call(changePage, {
    params: { ...params, page },
    body: {
      ...{ seen: (await maker.state(site.id)).revision, label: 'Links' },
      change: { parts: [...paths, inside, '/open'].map(contact) },
    },
  });
  const known = () => maker.call(listLinkAnswers, { params });
  expect(await known()).toEqual({ answers: [], untried: paths.length });
  asked.length = 0;
  const first = await maker.call(askSomeLinks, { params });
  expect([first.answers.length, first.untried]).toEqual([6, 2]);
  const { answers, untried } = await maker.call(askSomeLinks, { params });
  expect(untried).toBe(0);
  const movedTo = `${origin}/open`;
  const told = (path: string) => answers.find(({ to }) => to === `${origin}${path}`);
  for (const path of ['/moved-301', '/moved-308'])
    expect(told(path)).toMatchObject({ state: 'read', movedTo });
  for (const path of ['/open', '/for-now-302', '/for-now-307'])
    expect(told(path)).toMatchObject({ state: 'read', movedTo: null });
  expect(told('/moved-then-for-now')?.movedTo).toBe(`${origin}/for-now-302`);
  expect(told('/gone-1')?.state).toBe('gone');
  expect(answers.some(({ to }) => to === inside)).toBe(false);
  // Nothing is left to try: nobody is asked again before a month has passed.
  asked.length = 0;
  await maker.call(askSomeLinks, { params });
  expect(asked).toEqual([]);
  server.clock.now = () => new Date(Date.now() + 31 * 24 * 60 * 60 * 1000);
  expect((await known()).untried).toBe(paths.length);
  // Trying one again keeps what the others said; what is on no page any more is forgotten.
  await maker.call(askLink, { params, body: { to: `${origin}/gone-1` } });
  expect((await known()).answers).toHaveLength(paths.length);
  await maker.call(changePage, {
    params: { ...params, page },
    body: {
      ...{ seen: (await maker.state(site.id)).revision, label: 'Links' },
      change: { parts: [contact('/open', 0)] },
    },
  });
  await maker.call(askSomeLinks, { params });
  expect((await known()).answers.map(({ to }) => to)).toEqual([`${origin}/open`]);
  server.clock.now = () => new Date();
  const other = await server.maker();
  await expect(other.call(askSomeLinks, { params })).rejects.toMatchObject({ status: 404 });
});

test('a link in words to what is gone is asked about when its page is published', async () => {
  const { site, pages } = await maker.site('Asked about');
  const params = { site: site.id };
  const live = await maker.call(createPage, { params, body: { title: 'Links', materials: [] } });
  const change = async (change: object) =>
    maker.call(changePage, {
      params: { ...params, page: live.page },
      body: { seen: (await maker.state(site.id)).revision, label: 'Links', change },
    });
  await change({
    height: 'public',
    parts: [{ ...newPart('contact', 'contact-1'), link: `${origin}/gone-for-good` }],
  });
  await maker.call(changeSite, {
    params,
    body: {
      ...{ seen: (await maker.state(site.id)).revision, label: 'Open' },
      change: { height: 'public', address: 'asked-about' },
    },
  });
  const needs = async () =>
    (await maker.call(publishOutlook, { params, body: { staying: [] } })).needed
      .filter(({ page }) => page === live.page)
      .flatMap((one) => one.needs.map(({ kind }) => kind));
  expect(pages).not.toEqual([]);
  expect(await needs()).not.toContain('link');
  await maker.call(askSomeLinks, { params });
  expect(await needs()).toContain('link');
});
