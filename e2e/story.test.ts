import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import { launchBrowser } from './support/browser.ts';
import { BuiltServer } from './support/demo-server.ts';
import { demoPictures, Driver } from './support/studio-driver.ts';

/**
 * The whole job by a newcomer: from a folder of photos to a page somebody else can open, in one browser profile,
 * read by an outsider in another.
 */
const phonePictures = [
  '08-hero-on-wall.jpg',
  '01-sketch.jpg',
  '02-cardboard-prototype.jpg',
  '03-laser-cut-parts.jpg',
  '04-gears-and-motor.jpg',
  '05-dial-on-bench.jpg',
  '06-bench-shot-rotated.jpg',
  '07-hand-close-up.jpg',
].map((name) => join(demoPictures, 'tide-clock', name));

let server: BuiltServer;
let makerBrowser: Browser;
let readerBrowser: Browser;
let studio: Driver;
let reader: Driver;

beforeAll(async () => {
  // A publish that has its files still to make takes long enough to be stopped half-way.
  server = await BuiltServer.start('server', { PREPARE: '0' });
  [makerBrowser, readerBrowser] = await Promise.all([launchBrowser(), launchBrowser()]);
  studio = new Driver(await makerBrowser.newPage());
  reader = new Driver(await readerBrowser.newPage());
});
afterAll(async () => {
  await Promise.all([makerBrowser?.close(), readerBrowser?.close()]);
  await server?.stop();
});

const publish = async () => {
  await studio.press('button', 'Publish');
  await studio.press('button', /^Publish release \d+/);
  await studio.reads(/Release \d+ is live/);
};
const closeDialog = () => studio.press('button', 'Close');

describe('from a folder of photos to a published page', () => {
  let link = '';

  test('a newcomer makes an account and names a site', async () => {
    await studio.page.goto(`${server.origin}/`);
    await studio.reads('Create an account');
    expect(await studio.page.evaluate(() => document.body.innerText)).not.toContain('demo maker');
    expect(await studio.axe()).toEqual([]);
    await studio.fill(/^Name your work/, 'Wren');
    await studio.fill('E-mail', 'wren@maker.example');
    await studio.fill(/^Password/, 'short');
    await studio.press('button', 'Create account');
    await studio.reads('Use at least 12 characters');
    await studio.fill(/^Password/, 'a harbour at low water');
    await studio.press('button', 'Create account');
    await studio.reads('Name your site');
    expect(await studio.axe()).toEqual([]);
    await studio.fill('Name of the site', 'Wren makes');
    await studio.press('button', 'Start the site');
    await studio.reads('Drop the pictures of one project here');
    await studio.reads('Nobody sees anything yet');
    expect(await studio.axe()).toEqual([]);
  });

  test('eight pictures from a phone become a project', async () => {
    await studio.choose(phonePictures);
    await studio.reads('Change the opening');
    expect(await studio.page.$$eval('.opening.full img', (found) => found.length)).toBe(1);
    expect(await studio.page.$$eval('.gallery img', (found) => found.length)).toBe(7);
  });

  test('title, summary and two paragraphs are written in place and saved by themselves', async () => {
    await studio.fill('Title', 'Tide clock');
    await studio.fill('One-line summary', 'One hand, one turn per tide.');
    await studio.press('button', /^Edit Words, part 1/);
    await studio.page.waitForSelector('.words-editor:focus');
    await studio.page.keyboard.type('The slip is under water for five hours of every twelve.');
    await studio.page.keyboard.press('Enter');
    await studio.page.keyboard.type('So the clock has one hand and no numbers.');
    await studio.saved();
    await studio.page.reload();
    await studio.reads('So the clock has one hand and no numbers.');
    expect(await studio.page.$eval('.site h1', (heading) => heading.textContent)).toBe('Tide clock');
    expect(await studio.axe()).toEqual([]);
  });

  test('captions and alt text, and another picture as the opening', async () => {
    await studio.press('button', /^Edit Gallery/);
    await studio.page.waitForSelector('ol[aria-label="Pictures in the gallery"] textarea');
    const fields = await studio.page.$$('ol[aria-label="Pictures in the gallery"] textarea');
    expect(fields.length).toBe(14);
    await fields[0]?.type('I drew the dial with only one hand.');
    await fields[1]?.type('Pencil sketch of a round dial with one hand');
    await studio.saved();
    expect(await studio.page.$eval('.gallery figcaption', (caption) => caption.textContent)).toBe(
      'I drew the dial with only one hand.',
    );
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Change the opening');
    await studio.press('button', 'Strip of pictures');
    await studio.page.waitForSelector('.opening.with-strip');
    await studio.press('button', 'Full picture');
    await studio.page.waitForSelector('.opening.full');
    await studio.press('button', 'Done with the opening');
    await studio.saved();
  });

  test('parts are reordered by keyboard, and undone', async () => {
    const order = () => studio.page.$$eval('.tail .bow-line b', (bows) => bows.map((bow) => bow.textContent));
    expect(await order()).toEqual(['Opening', 'Words', 'Gallery']);
    await studio.page.focus('.tail li:nth-child(3) .bow-line');
    await studio.page.keyboard.down('Alt');
    await studio.page.keyboard.press('ArrowUp');
    await studio.page.keyboard.up('Alt');
    await studio.saved();
    expect(await order()).toEqual(['Opening', 'Gallery', 'Words']);
    await studio.press('button', /^Undo/);
    await studio.reads('Undone: Order of parts in Tide clock');
    expect(await order()).toEqual(['Opening', 'Words', 'Gallery']);
  });

  test('publishing to people with the link, and an outsider reads it', async () => {
    await studio.press('button', 'Publish');
    await studio.reads('While the site is Private, nobody can open what you publish');
    await studio.press('button', /^Height of the site/);
    await studio.press('menuitemradio', /^Unlisted/);
    await studio.reads('Private becomes Unlisted');
    expect(await studio.axe()).toEqual([]);
    // Stopped half-way, it leaves nothing behind that a reader could see, and starts again.
    await studio.press('button', /^Publish release 1/);
    await studio.press('button', 'Stop');
    await studio.reads('Publishing was stopped. Readers still see what they saw before.');
    await studio.press('button', /^Publish release 1/);
    await studio.reads('Release 1 is live');
    link = await studio.page.$eval('.dialog input[readonly]', (input) => (input as HTMLInputElement).value);
    expect(link).toMatch(/\/l\/[\w-]{22}\/$/);
    await closeDialog();
    await studio.reads('People with the link see release 1');

    const response = await reader.page.goto(link);
    expect(response?.status()).toBe(200);
    await reader.reads('Tide clock');
    expect(await reader.axe()).toEqual([]);
    await reader.press('link', 'Tide clock');
    await reader.reads('So the clock has one hand and no numbers.');
    expect(await reader.axe()).toEqual([]);
    expect(await reader.page.$$eval('.gallery figure', (figures) => figures.length)).toBe(7);
    expect(await reader.page.$eval('.gallery img', (img) => (img as HTMLImageElement).alt)).toBe(
      'Pencil sketch of a round dial with one hand',
    );
  });

  test('the page stands still while it loads, fits a phone, and opens pictures large', async () => {
    await reader.page.setViewport({ width: 390, height: 844 });
    await reader.page.evaluateOnNewDocument(() => {
      const shifts = { sum: 0 };
      Object.assign(window, { shifts });
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries())
          shifts.sum += (entry as PerformanceEntry & { value: number }).value;
      }).observe({ type: 'layout-shift', buffered: true });
    });
    await reader.page.goto(`${link}tide-clock/`, { waitUntil: 'networkidle0' });
    await reader.page.evaluate(async () => {
      for (let y = 0; y < document.body.scrollHeight; y += 300) {
        window.scrollTo(0, y);
        await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
      }
    });
    const seen = await reader.page.evaluate(() => ({
      shift: (window as unknown as { shifts: { sum: number } }).shifts.sum,
      overflow: document.documentElement.scrollWidth - document.documentElement.clientWidth,
    }));
    expect(seen).toEqual({ shift: 0, overflow: 0 });
    await reader.page.setViewport({ width: 1280, height: 800 });

    const scripts = () =>
      reader.page.evaluate(() =>
        performance
          .getEntriesByType('resource')
          .filter((entry) => entry.name.endsWith('.js'))
          .map((entry) => (entry as PerformanceResourceTiming).encodedBodySize),
      );
    expect((await scripts()).reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(12 * 1024);
    const picture = await reader.page.waitForSelector('.gallery a[data-zoom]');
    await picture?.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    await picture?.click();
    await reader.page.waitForSelector('.pswp--open');
    await reader.named('dialog', 'Tide clock');
    await reader.page.waitForFunction(() => document.querySelector('.pswp__preloader--active') === null);
    expect(await reader.axe()).toEqual([]);
    await reader.reads('I drew the dial with only one hand.');
    // While the picture is still opening Escape waits, as it would under a quick finger: press until it is closed.
    for (let n = 0; n < 20 && (await reader.page.$('.pswp')); n++) {
      await reader.page.keyboard.press('Escape');
      await new Promise((resolve) => setTimeout(resolve, 150));
    }
    expect(await reader.page.$('.pswp')).toBeNull();
    expect(await reader.page.evaluate(() => document.activeElement?.hasAttribute('data-zoom'))).toBe(true);
  });

  test('a changed word waits for the next publish, and the strip says so', async () => {
    await studio.page.bringToFront();
    await studio.fill('One-line summary', 'One brass hand, one turn per tide.');
    await studio.saved();
    await studio.reads('1 edit waiting');
    await reader.page.goto(`${link}tide-clock/`);
    await reader.reads('One hand, one turn per tide.');
    await publish();
    expect(
      await studio.page.$eval('.dialog input[readonly]', (input) => (input as HTMLInputElement).value),
    ).toBe(link);
    await closeDialog();
    await studio.reads('People with the link see release 2');
    await reader.page.goto(`${link}tide-clock/`);
    await reader.reads('One brass hand, one turn per tide.');
  });

  test('set to Private, the link tells an outsider nothing', async () => {
    await studio.page.goto(`${studio.page.url().split('/projects')[0]}/share`);
    await studio.reads('The whole site flies at');
    expect(await studio.axe()).toEqual([]);
    await studio.press('radio', /^Private/);
    await studio.saved();
    await studio.reads('Closed: release 2 opens for nobody');
    const never = await reader.page.goto(`${server.origin}/l/AAAAAAAAAAAAAAAAAAAAAA/`);
    const neverBytes = await never?.text();
    for (const path of ['', 'tide-clock/']) {
      const shut = await reader.page.goto(link + path);
      expect([shut?.status(), await shut?.text()]).toEqual([404, neverBytes]);
    }
    await reader.reads('Nothing is open here');
    expect(neverBytes).not.toMatch(/Wren|Tide/);
    expect(await reader.axe()).toEqual([]);
  });
});
