import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import { createAccount } from '#contract/account.ts';
import { createPage } from '#contract/pages.ts';
import { createSite } from '#contract/sites.ts';
import { launchBrowser } from './support/browser.ts';
import { BuiltServer } from './support/demo-server.ts';
import { fits } from './support/fits.ts';
import { RemoteMaker } from './support/maker.ts';
import { demoPictures, Driver } from './support/studio-driver.ts';

/** What somebody can be found by inside documents and pictures: told, read, covered and taken back, in Check. */
const account = { name: 'Ide', email: 'ide@maker.example', password: 'a quiet workshop wall' };
let server: BuiltServer;
let browser: Browser;
let maker: RemoteMaker;
let studio: Driver;
let site = '';

/** A picture with words in it, as a browser draws them. */
async function poster(words: string): Promise<Uint8Array<ArrayBuffer>> {
  const page = await browser.newPage();
  await page.setViewport({ width: 900, height: 600 });
  await page.setContent(
    `<body style="margin:60px;font:40px/1.5 sans-serif;background:#f4e9cf">${words}</body>`,
  );
  const picture = await page.screenshot({ type: 'png' });
  await page.close();
  return new Uint8Array(picture);
}
const blackOuts = async (title: string) =>
  (await maker.state(site)).materials.find((one) => one.title === title)?.fixes.blackOut?.length ?? 0;

beforeAll(async () => {
  server = await BuiltServer.start('server');
  browser = await launchBrowser();
  maker = new RemoteMaker(server.origin);
  await maker.call(createAccount, { body: account });
  site = (await maker.call(createSite, { body: { title: 'Ide makes' } })).id;
  const sheet = await readFile(join(demoPictures, 'bike-trailer/workshop-test-sheet.pdf'));
  const materials = [await maker.upload(site, 'Test sheet.pdf', new Uint8Array(sheet))];
  // Numbers that are kept free for stories (Ofcom, from memory).
  for (const [name, words] of [
    ['Poster.png', 'Open workshop on Friday.<br>Ring +44 7700 900123'],
    ['Door.png', 'No entry while the saw runs.'],
    ['Crate.png', 'Mind the glass.'],
  ] as const)
    materials.push(await maker.upload(site, name, await poster(words)));
  // Three people, in a photograph that comes with the detector.
  const people = await readFile(
    join(import.meta.dirname, '../node_modules/@vladmandic/face-api/demo/sample3.jpg'),
  );
  materials.push(await maker.upload(site, 'Team.jpg', new Uint8Array(people)));
  await maker.call(createPage, { params: { site }, body: { title: 'Bike trailer', materials } });
  studio = new Driver(await browser.newPage());
  await studio.page.setViewport({ width: 1280, height: 800 });
  await studio.page.goto(`${server.origin}/studio/`);
  await studio.page.evaluate(async (body) => {
    await fetch('/api/session', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  }, account);
  await studio.page.goto(`${server.origin}/studio/${site}/check`);
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

describe('what is inside', () => {
  test('a document is told at once; of pictures it is said that they were not looked through', async () => {
    await studio.reads(
      'In “Test sheet” there is what looks like a student number: “S-2047-1183” (pages 1, 2).',
    );
    await studio.reads('6 pictures and pages were not looked through yet');
    expect(await studio.axe()).toEqual([]);
  });

  test('reading can be stopped, what was read stays, and the rest is read later', async () => {
    // Pressed twice by accident, it goes on.
    const begin = await studio.named('button', 'Look through them');
    await begin.focus();
    await studio.page.keyboard.press('Enter');
    await studio.page.keyboard.press('Enter');
    await studio.reads(/Looking through your pictures and pages: \d of 6\./);
    // By then a press is one of its own.
    await new Promise((resolve) => setTimeout(resolve, 1000));
    await studio.reads(/Looking through your pictures and pages: \d of 6\./);
    await studio.press('button', 'Stop');
    await studio.reads('not looked through');
    await studio.page.reload();
    await studio.press('button', /^Look through (?:it|them)$/);
    await studio.reads('In “Poster” there is what looks like a telephone number: “+44 7700 900123”.');
    await studio.page.waitForSelector('[aria-label="What is to be seen in pictures"]', { hidden: true });
    expect(await studio.axe()).toEqual([]);
  });

  test('it is covered by one press of a key, and uncovered by another', async () => {
    const button = await studio.named('button', /^Black it out.*Poster/);
    await button.focus();
    await studio.page.keyboard.press('Enter');
    await studio.page.waitForFunction(() => !document.body.innerText.includes('900123'));
    expect(await studio.page.evaluate(() => document.activeElement?.tagName)).toBe('H1');
    await studio.saved();
    expect(await blackOuts('Poster')).toBe(1);
    await studio.press('button', 'Undo');
    await studio.reads('“+44 7700 900123”');
    await studio.saved();
    expect(await blackOuts('Poster')).toBe(0);
    await studio.press('button', /^Black it out.*Poster/);
    await studio.page.waitForFunction(() => !document.body.innerText.includes('900123'));
    await studio.saved();
    await studio.page.reload();
    await studio.reads('“S-2047-1183”');
    expect(await studio.page.evaluate(() => document.body.innerText.includes('900123'))).toBe(false);
  });

  test('faces are asked about, a question a picture, and covered where they are', async () => {
    await studio.press('button', /^Nice to have/);
    await studio.reads('In “Team” there are 3 things that look like faces.');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', /^Black it out.*Team/);
    await studio.page.waitForFunction(() => !document.body.innerText.includes('look like faces'));
    await studio.saved();
    expect(await blackOuts('Team')).toBe(3);
    await studio.press('button', 'Undo');
    await studio.reads('In “Team” there are 3 things that look like faces.');
    await studio.press('button', /^Needed/);
  });

  test('it is let stand like anything else, and it fits a phone', async () => {
    await studio.page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
    await studio.reads('“S-2047-1183”');
    await fits(studio);
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', /^Let it stand.*Test sheet/);
    await studio.fill(/^Why/, 'It is made up.');
    await studio.page.keyboard.press('Enter');
    await studio.reads('Let stand 1');
  });
});
