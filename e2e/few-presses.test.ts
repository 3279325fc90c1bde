import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import { launchBrowser } from './support/browser.ts';
import { BuiltServer } from './support/demo-server.ts';
import { Driver } from './support/studio-driver.ts';

/**
 * What a newcomer has to press to have two projects live, each with a title, a summary, words and a description of every picture.
 * The pictures are photographs from Debian's package mate-backgrounds. Counted are presses of mouse or finger, and two for each
 * round through the file dialog of the system, which a browser without a screen does not show.
 */
const photo = (name: string) => join('/usr/share/backgrounds/mate/nature', `${name}.jpg`);
const meadow = ['GreenMeadow', 'LadyBird', 'FreshFlower', 'YellowFlower', 'Garden', 'TwoWings'].map(photo);
const shore = ['Dune', 'Aqua', 'Storm', 'RainDrops', 'Wood', 'Blinds'].map(photo);

let server: BuiltServer;
let browser: Browser;
let reader: Driver;
beforeAll(async () => {
  server = await BuiltServer.start('server');
  browser = await launchBrowser();
  reader = new Driver(await browser.newPage());
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

/** A browser of somebody who was never here, and how often they have pressed. */
async function newcomer(viewport: { width: number; height: number; hasTouch?: boolean; isMobile?: boolean }) {
  const page = await (await browser.createBrowserContext()).newPage();
  let pressed = 0;
  await page.exposeFunction('countPress', () => void pressed++);
  await page.evaluateOnNewDocument(() => {
    const { countPress } = window as unknown as { countPress: () => void };
    window.addEventListener('pointerdown', ({ isTrusted }) => isTrusted && countPress(), true);
  });
  await page.setViewport(viewport);
  const studio = new Driver(page);
  return {
    studio,
    pressed: () => pressed,
    chooseFiles: async (files: readonly string[]) => {
      pressed += 2;
      await studio.choose(files);
    },
  };
}
type Newcomer = Awaited<ReturnType<typeof newcomer>>;

/** From files to a page with everything readers need. */
async function project({ studio, chooseFiles }: Newcomer, files: readonly string[], title: string) {
  const { page } = studio;
  await chooseFiles(files);
  await studio.reads('Change the opening');
  await page.waitForFunction(
    (all) => document.querySelectorAll('.gallery img').length === all,
    {},
    files.length - 1,
  );
  await studio.fill('Title', title);
  // Enter goes on to the summary.
  await page.keyboard.press('Enter');
  await page.keyboard.type('What I saw there, and why I went back.');
  await studio.press('button', /^Edit Words, part 1/);
  await page.waitForSelector('.words-editor:focus');
  await page.keyboard.type('I went there on eleven mornings. The light decided what the pictures are of.');
  await studio.press('button', /^Edit Gallery/);
  const inGallery = 'ol[aria-label="Pictures in the gallery"] textarea';
  await page.waitForSelector(inGallery);
  const fields = await page.$$(inGallery);
  // Of the two of each picture the second describes it.
  for (let at = 1; at < fields.length; at += 2) {
    await fields[at]?.evaluate((field) => field.scrollIntoView({ block: 'center' }));
    await fields[at]?.click();
    await page.keyboard.type(`Close to the ground, one morning, number ${at}`);
  }
  await studio.saved();
}

describe.each([
  ['with a mouse', { width: 1280, height: 800 }],
  ['on a phone', { width: 390, height: 844, hasTouch: true, isMobile: true }],
])('%s', (how, viewport) => {
  test('the first project is live after at most 35 presses, two after at most 60', async () => {
    const maker = await newcomer(viewport);
    const { studio, pressed } = maker;
    const { page } = studio;
    await page.goto(`${server.origin}/`);
    await studio.fill(/^Name your work/, 'Ash');
    await studio.fill('E-mail', `ash-${viewport.width}@maker.example`);
    await studio.fill(/^Password/, 'a meadow at first light');
    await studio.press('button', 'Create account');
    await studio.reads('Name your site');
    await studio.fill('Name of the site', `Ash sees, ${how}`);
    await studio.press('button', 'Start the site');
    await studio.reads('Drop the pictures of one project here');
    await project(maker, meadow, 'The meadow');
    await studio.press('button', 'Publish');
    await studio.press('button', /^Height of the site/);
    await studio.press('menuitemradio', /^Unlisted/);
    await studio.press('button', /^Publish release 1/);
    await studio.reads('Release 1 is live');
    const link = await page.$eval('.dialog input[readonly]', (input) => (input as HTMLInputElement).value);
    const first = pressed();
    await studio.press('button', 'Close');
    await studio.press('link', /Projects/);
    await studio.reads('New project');
    await project(maker, shore, 'The shore');
    await studio.press('button', 'Publish');
    // It was begun after readers were there, so it is Private until its maker says otherwise.
    await studio.press('button', /^Publish it too: The shore/);
    await studio.press('button', /^Publish release 2/);
    await studio.reads('Release 2 is live');
    const both = pressed();
    expect(first).toBeGreaterThan(10);
    expect(first).toBeLessThanOrEqual(35);
    expect(both).toBeLessThanOrEqual(60);
    await reader.page.goto(link);
    await reader.reads('The meadow');
    await reader.reads('The shore');
    await reader.press('link', 'The meadow');
    const alts = await reader.page.$$eval('.gallery img', (all) => all.map((one) => one.getAttribute('alt')));
    expect(alts).toEqual([1, 3, 5, 7, 9].map((at) => `Close to the ground, one morning, number ${at}`));
  });
});
