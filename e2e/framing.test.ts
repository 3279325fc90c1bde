import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Browser } from 'puppeteer-core';
import { mayBeFramed } from '#core/links/framing.ts';
import { launchBrowser } from './support/browser.ts';

/**
 * Whether a page may be shown inside another one is decided by browsers. Here Chromium decides for each of these headers,
 * and our reading of the standards has to say the same.
 */
interface Case {
  csp?: string[];
  xfo?: string[];
}
const cases = (by: string, port: number): Case[] => [
  {},
  { xfo: ['DENY'] },
  { xfo: ['deny'] },
  { xfo: ['SAMEORIGIN'] },
  { xfo: ['sameorigin, sameorigin'] },
  { xfo: ['ALLOWALL'] },
  { xfo: ['ALLOW-FROM http://other.example/'] },
  { xfo: ['nonsense'] },
  { xfo: ['nonsense, DENY'] },
  { xfo: ['nonsense, more'] },
  { xfo: ['SAMEORIGIN', 'DENY'] },
  { csp: ["frame-ancestors 'none'"] },
  { csp: ['frame-ancestors'] },
  { csp: ["frame-ancestors 'self'"] },
  { csp: ['frame-ancestors *'] },
  { csp: ['frame-ancestors http:'] },
  { csp: ['frame-ancestors https:'] },
  { csp: [`frame-ancestors ${by}`] },
  { csp: [`frame-ancestors ${by}/some/path`] },
  { csp: ['frame-ancestors 127.0.0.1'] },
  { csp: [`frame-ancestors 127.0.0.1:${port}`] },
  { csp: ['frame-ancestors 127.0.0.1:*'] },
  { csp: ['frame-ancestors http://127.0.0.1:*'] },
  { csp: ['frame-ancestors https://127.0.0.1:*'] },
  { csp: ['frame-ancestors HTTP://127.0.0.1:*'] },
  { csp: ['frame-ancestors *.example'] },
  { csp: [`FRAME-ANCESTORS 'none'; default-src 'self'`] },
  { csp: [`default-src 'self'; frame-ancestors 'self' ${by}`] },
  { csp: ["default-src 'none'"] },
  { csp: [`frame-ancestors ${by}, frame-ancestors 'self'`] },
  { csp: [`frame-ancestors ${by}`, "default-src 'self'"] },
  { csp: [`frame-ancestors ${by}`, "frame-ancestors 'none'"] },
  { csp: [`frame-ancestors ${by}; frame-ancestors 'none'`] },
  // Where a policy speaks of ancestors, the older header does not count.
  { csp: [`frame-ancestors ${by}`], xfo: ['DENY'] },
  { csp: ["frame-ancestors 'none'"], xfo: ['ALLOWALL'] },
  { csp: ["default-src 'self'"], xfo: ['SAMEORIGIN'] },
];

let browser: Browser;
const servers: Server[] = [];
const listen = (answer: Parameters<typeof createServer>[1]): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer(answer);
    servers.push(server);
    server.listen(0, '127.0.0.1', () => resolve((server.address() as AddressInfo).port));
  });

beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser.close();
  for (const server of servers) server.close();
});

test('a page is said to be showable inside ours exactly when Chromium shows it there', async () => {
  let all: Case[] = [];
  const pages = await listen((request, response) => {
    const at = Number(request.url?.slice(1));
    const { csp, xfo } = all[at] ?? {};
    if (csp) response.setHeader('content-security-policy', csp);
    if (xfo) response.setHeader('x-frame-options', xfo);
    response.setHeader('content-type', 'text/html');
    response.end(`<body data-at="${at}">here</body>`);
  });
  const around = await listen((_, response) => {
    response.setHeader('content-type', 'text/html');
    const frames = all.map((_case, at) => `<iframe src="http://127.0.0.1:${pages}/${at}"></iframe>`);
    response.end(`<!doctype html>${frames.join('')}`);
  });
  const by = `http://127.0.0.1:${around}`;
  all = cases(by, around);
  const page = await browser.newPage();
  await page.goto(by, { waitUntil: 'networkidle0' });
  const shown = new Set<number>();
  for (const frame of page.frames()) {
    const at = await frame.evaluate(() => document.body?.dataset['at']).catch(() => undefined);
    if (at !== undefined) shown.add(Number(at));
  }
  expect(shown.size).toBeGreaterThan(5);
  const told = all.map(({ csp = [], xfo = [] }, at) => ({
    headers: { csp, xfo },
    shown: mayBeFramed(
      { contentSecurityPolicy: csp, xFrameOptions: xfo },
      `http://127.0.0.1:${pages}/${at}`,
      by,
    ),
  }));
  expect(told).toEqual(told.map(({ headers }, at) => ({ headers, shown: shown.has(at) })));
});
