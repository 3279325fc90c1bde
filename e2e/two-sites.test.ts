import { afterAll, expect, test } from '@jest/globals';
import { openDemoStudio } from './support/demo-studio.ts';

/** A maker with two sites, made and filled from the studio alone. */
const { server, studio, rooms, publish, asStranger, close } = await openDemoStudio();
afterAll(close);
const { page } = studio;

test('a second site is started from the first, and uses what was gathered once', async () => {
  await studio.press('button', 'Wren: your sites');
  await studio.reads('Wren auf Deutsch');
  await studio.press('menuitem', /^New site/);
  await studio.reads('Name your site');
  await studio.fill('Name of the site', 'Skerrin workshop');
  await studio.press('button', 'Start the site');
  await page.waitForFunction((old) => !location.href.startsWith(old), {}, rooms);
  await page.waitForFunction(() => location.pathname.endsWith('/projects'));
  const second = page.url().replace(/\/projects.*/, '');
  await page.goto(`${second}/gather`);
  await studio.reads('Harbour at dusk');
  // The studio opens again where it was left.
  await page.goto(`${server.origin}/studio/`);
  await page.waitForFunction((wanted) => location.href.startsWith(wanted), {}, second);
  await studio.press('button', 'Skerrin workshop: your sites');
  await studio.press('menuitem', 'Wren');
  await page.waitForFunction((wanted) => location.href.startsWith(wanted), {}, rooms);
});

test('a group is taken there with all below, readers here lose it at once, and it is opened there', async () => {
  await page.goto(`${rooms}/arrange`);
  await studio.reads('Front-page wall');
  await studio.press('button', 'More for Made together');
  await studio.press('menuitem', 'Take it to another site');
  expect(await studio.axe()).toEqual([]);
  await studio.press('button', 'Skerrin workshop');
  await studio.reads('Readers can see it now.');
  await studio.press('button', 'Delete for readers now');
  await studio.reads('Made together is on Skerrin workshop now, Private.');
  const status = async (path: string) => (await fetch(`${server.origin}${path}`)).status;
  expect(await status('/wren-makes/made-together/shared-tool-board/')).toBe(404);
  expect(await status('/wren-makes/for-the-harbour/tide-clock/')).toBe(200);

  await studio.press('button', 'Wren: your sites');
  await studio.press('menuitem', 'Skerrin workshop');
  await studio.reads('Shared tool board');
  await page.goto(page.url().replace(/\/projects.*/, '/arrange'));
  await studio.press('button', /^Height of Made together/);
  await studio.press('menuitemradio', /^Public/);
  await studio.saved();
  await page.goto(page.url().replace('/arrange', '/share'));
  await studio.reads('The whole site flies at');
  await studio.press('radio', /^Public/);
  await studio.press('button', 'Raise it to Public');
  await studio.fill(/^Address/, 'skerrin-workshop');
  await studio.press('button', 'Use it');
  await studio.fill(/^Your name on this site/, 'W. of Skerrin');
  await publish();
  const reader = await asStranger('/skerrin-workshop/made-together/shared-tool-board/');
  await reader.reads('Words and pictures by W. of Skerrin unless a credit says otherwise.');
  const told: unknown = JSON.parse(
    await reader.page.$eval('script[type="application/ld+json"]', (one) => one.textContent ?? ''),
  );
  expect(told).toMatchObject({ creator: { creator: { name: 'W. of Skerrin' } } });
  expect(await reader.axe()).toEqual([]);
});
