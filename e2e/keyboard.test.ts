import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import { launchBrowser } from './support/browser.ts';
import { BuiltServer } from './support/demo-server.ts';
import { Keys } from './support/keys.ts';
import { demoPictures, Driver } from './support/studio-driver.ts';

/** From pictures to a page an outsider reads, with a keyboard and nothing else. */
let server: BuiltServer;
let browser: Browser;
let studio: Driver;

beforeAll(async () => {
  server = await BuiltServer.start('server');
  browser = await launchBrowser();
  studio = new Driver(await browser.newPage());
  await studio.page.setViewport({ width: 1280, height: 800 });
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});

const keys = () => new Keys(studio);
const key = (name: Parameters<Keys['press']>[0]) => keys().press(name);
const focused = () => keys().focused();
const tabTo = (name: string | RegExp) => keys().tabTo(name);

describe('with a keyboard only', () => {
  test('an account, a site, pictures, words, a height, a release', async () => {
    await studio.page.goto(`${server.origin}/`);
    await studio.reads('Create an account');
    await tabTo(/^Name your work/);
    await studio.page.keyboard.type('Ide');
    await tabTo('E-mail');
    await studio.page.keyboard.type('ide@maker.example');
    await tabTo(/^Password/);
    await studio.page.keyboard.type('a quiet workshop wall');
    await key('Enter');
    await studio.reads('Name your site');
    await tabTo('Name of the site');
    await studio.page.keyboard.type('Ide makes');
    await key('Enter');
    await studio.reads('Drop the pictures of one project here');

    const folder = join(demoPictures, 'tide-clock');
    const files = readdirSync(folder)
      .filter((name) => name.endsWith('.jpg'))
      .slice(0, 3)
      .map((name) => join(folder, name));
    await tabTo(/^Drop the pictures of one project/);
    const opened = studio.page.waitForFileChooser();
    // By the time this is answered the browser hands choosers to us instead of opening them.
    await focused();
    await key('Enter');
    await (await opened).accept(files);
    await studio.reads('Change the opening');

    await tabTo('Title');
    await studio.page.keyboard.type('Tide clock');
    await tabTo('One-line summary');
    await studio.page.keyboard.type('One hand, one turn per tide.');
    await tabTo(/^Edit Words, part 1/);
    await key('Enter');
    await studio.page.waitForSelector('.words-editor:focus');
    await studio.page.keyboard.type('Written without a mouse.');
    await studio.saved();
    // Out of the words, and on.
    await key('Escape');
    await tabTo(/^Publish$/);
    await key('Enter');
    await studio.reads('Publishing will change');
    await tabTo(/^Height of the site/);
    await key('Enter');
    await studio.page.waitForSelector('[role=menuitemradio]');
    for (let n = 0; n < 6 && !/^Unlisted/.test((await focused()).name); n++) await key('ArrowDown');
    await key('Enter');
    await studio.reads('Private becomes Unlisted');
    await tabTo(/^Publish release 1/);
    await key('Enter');
    await studio.reads('Release 1 is live');
    const link = await studio.page.$eval(
      '.dialog input[readonly]',
      (input) => (input as HTMLInputElement).value,
    );
    await key('Escape');
    await studio.page.waitForSelector('.dialog', { hidden: true });
    // The focus is back where the dialog was opened from.
    await studio.page.waitForFunction(() => document.activeElement?.textContent === 'Publish');
    const page = await (await fetch(`${link}tide-clock/`)).text();
    expect(page).toContain('Written without a mouse.');
  });

  test('an undo by keys takes back the last step, and a redo brings it again', async () => {
    const title = () => studio.page.$eval('.site h1', (heading) => heading.textContent);
    await tabTo('Title');
    await studio.page.keyboard.press('End');
    await studio.page.keyboard.type(' two');
    await studio.saved();
    expect(await title()).toBe('Tide clock two');
    await key('Tab');
    await studio.page.keyboard.down('Control');
    await studio.page.keyboard.press('z');
    await studio.page.keyboard.up('Control');
    await studio.reads('Undone:');
    expect(await title()).toBe('Tide clock');
  });
});
