import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { type DemoStudio, openDemoStudio } from './support/demo-studio.ts';
import { Driver } from './support/studio-driver.ts';

/** The public site on another site: as a card everywhere, open in a frame only where its maker says so. */
let demo: DemoStudio;
let other: Server;
let origin = '';
/** What the other site's page holds. */
let html = '';
beforeAll(async () => {
  demo = await openDemoStudio();
  other = createServer((_request, response) => {
    response.setHeader('content-type', 'text/html; charset=utf-8');
    response.end(`<!doctype html><html lang="en"><title>A class page</title><body>${html}`);
  });
  await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
  origin = `http://127.0.0.1:${(other.address() as AddressInfo).port}`;
});
afterAll(async () => {
  await demo.close();
  other.close();
});

const codeNamed = (name: string) =>
  demo.studio.page.$$eval(
    'section[aria-labelledby=embedding] textarea[readonly]',
    (fields, named) =>
      fields.find((field) => (field as HTMLTextAreaElement).labels[0]?.textContent.startsWith(named))
        ?.textContent ?? '',
    name,
  );

/** What a frame on the other site shows: its title, or nothing where the browser refuses it. */
async function framed(): Promise<string> {
  const page = await (await demo.browser.createBrowserContext()).newPage();
  await page.goto(origin, { waitUntil: 'networkidle0' });
  const frame = page.frames().find((one) => one !== page.mainFrame());
  const title = frame?.url().startsWith('http') ? await frame.title() : '';
  await page.close();
  return title;
}

test('a card stands anywhere and leads to the page', async () => {
  const { studio, rooms, server } = demo;
  await studio.page.goto(`${rooms}/share`);
  await studio.reads('A card that leads to it');
  const section = await studio.page.waitForSelector('section[aria-labelledby=embedding]');
  await section?.scrollIntoView();
  expect(await studio.axe()).toEqual([]);
  html = await codeNamed('A card that leads to it');
  const reader = new Driver(await (await demo.browser.createBrowserContext()).newPage());
  await reader.page.goto(origin, { waitUntil: 'networkidle0' });
  const shown = await reader.page.$eval('a', (card) => ({
    to: card.href,
    picture: (card.querySelector('img') as HTMLImageElement).naturalWidth,
    words: card.textContent,
  }));
  expect(shown.to.startsWith(`${server.origin}/`)).toBe(true);
  expect(shown.picture).toBe(1200);
  await reader.page.click('a');
  await reader.page.waitForSelector('main');
  expect(reader.page.url()).toBe(shown.to);
});

test('the open site stands in a frame where its maker named the place, and nowhere else', async () => {
  const { studio, server } = demo;
  html = `<iframe src="${new URL(/href="([^"]+)"/.exec(html)?.[1] ?? '').href}"></iframe>`;
  expect(await framed()).toBe('');

  await studio.page.bringToFront();
  await studio.press('button', 'On named sites');
  await studio.fill(/^Sites that may show it/, 'not a place');
  await studio.press('button', 'Allow these');
  await studio.reads('“not a place” names no site. Write it as example.edu.');
  await studio.fill(/^Sites that may show it/, `https://class.example/here\n${origin}/page`);
  await studio.press('button', 'Allow these');
  await studio.reads('The open page in a frame');
  html = await codeNamed('The open page in a frame');
  expect(html).toContain(`<iframe src="${server.origin}/`);
  expect(await framed()).not.toBe('');
  expect(await studio.axe()).toEqual([]);

  await studio.press('button', 'Nowhere');
  await studio.page.waitForFunction(() => !document.body.textContent.includes('The open page in a frame'));
  expect(await framed()).toBe('');
});
