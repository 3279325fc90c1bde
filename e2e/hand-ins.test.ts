import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { join } from 'node:path';
import { type StandIns, startStandIns } from '../standins/stand-ins.ts';
import { openDemoStudio } from './support/demo-studio.ts';
import { Driver } from './support/studio-driver.ts';

/** A maker lets the server try their links as an outsider, and hands one in. */
const { browser, studio, rooms, close } = await openDemoStudio();
let standIns: StandIns;
beforeAll(async () => {
  standIns = await startStandIns(0, join(import.meta.dirname, '../demo/pictures'));
});
afterAll(async () => {
  await standIns.close();
  await close();
});

describe('the outsider test', () => {
  test('opens every link over HTTP and says in sentences what it found, with what mends it', async () => {
    await studio.page.goto(`${rooms}/share`);
    await studio.press('button', 'Test now');
    await studio.reads('The address opens');
    await studio.reads('The pass “Boatyard” asks for its password.');
    await studio.reads('The pass “Boatyard” could not open Sailcloth satchel. It is Private.');
    await studio.reads(/the pass “Open evening” and the pass “Quay Lane” stayed shut/);
    expect(await studio.axe()).toEqual([]);
    // Raised where it is told; published, it is right.
    await studio.press('button', /^Raise it to Invited/);
    await studio.saved();
    await studio.press('button', 'Test again');
    await studio.reads('could not open Sailcloth satchel. It is not published yet.');
    await studio.press('button', /^Publish$/);
    await studio.press('button', /^Publish release/);
    await studio.reads(/Release \d+ is live/);
    await studio.page.keyboard.press('Escape');
    await studio.press('button', 'Test again');
    await studio.reads('2 other tests');
    expect(
      await studio.page.$eval('[aria-label="What was found"]', (list) => list.textContent),
    ).not.toContain('could not open');
  });
});

describe('a hand-in', () => {
  const name = 'Final crit';

  test('is written down with the keyboard, by a pass that keeps it', async () => {
    await studio.page.goto(`${rooms}/share/hand-ins`);
    await studio.reads('Mid-year review');
    await studio.press('button', 'Add it');
    await studio.reads('Say what is handed in.');
    await studio.fill(/^What is handed in/, name);
    const pass = await studio.page.evaluate(() => {
      const options = [...document.querySelectorAll('option')];
      return options.find(({ textContent }) => textContent === 'The pass “Tutors”')?.value ?? '';
    });
    await studio.page.select('select', pass);
    await studio.press('checkbox', /^Its readers keep getting/);
    await studio.fill(/^Text to go with it/, 'Look at the lamp first.');
    await studio.press('button', 'Add it');
    await studio.reads(name);
    expect(await studio.axe()).toEqual([]);
  });

  test('opens as an outsider first, then it is handed in and the text is there to paste', async () => {
    // A browser without a screen has no clipboard to read: what would be in it is kept by the page.
    await studio.page.evaluate(() => {
      Object.assign(navigator.clipboard, {
        writeText: (text: string) => Promise.resolve(document.body.setAttribute('data-copied', text)),
      });
    });
    await studio.press('button', `Hand in ${name}`);
    await studio.reads(/is written down as handed in/);
    await studio.reads(/Release \d+ was live and is kept for its readers/);
    await studio.press('button', `Copy the text and the link of ${name}`);
    await studio.reads(/What goes with “Final crit” is copied/);
    const pasted = await studio.page.$eval('body', (body) => body.getAttribute('data-copied') ?? '');
    expect(pasted).toMatch(/^Look at the lamp first\.\nhttp:\/\/[\d.:]+\/p\/[\w-]{22}\/$/);

    // The class's box opens it as a tutor does: without an account, in a new window.
    const box = new Driver(await (await browser.createBrowserContext()).newPage());
    await box.page.goto(`${standIns.origin}/class-box`);
    const putIn = async (link: string) => {
      await box.page.bringToFront();
      await box.page.type('[name=who]', 'Wren');
      await box.page.type('[name=link]', link);
      await Promise.all([box.page.waitForNavigation(), box.page.click('button')]);
    };
    await putIn(pasted.split('\n')[1] ?? '');
    await box.reads(/It opens: /);
    const opening = box.page.browserContext().waitForTarget((one) => one.url().includes('/p/'));
    await box.page.click('ol a');
    const opened = await (await opening).page();
    expect(await opened?.evaluate(() => window.opener)).toBeNull();
    expect(await opened?.$eval('body', (body) => body.textContent)).toContain('Tide clock');
    await box.page.goto(`${standIns.origin}/class-box`);
    await putIn('my site');
    await box.reads('That is no link.');
    await studio.page.bringToFront();
  });

  test('whose link would not open is not handed in without a yes', async () => {
    await studio.fill(/^What is handed in/, 'By the evening pass');
    const pass = await studio.page.evaluate(() => {
      const options = [...document.querySelectorAll('option')];
      return options.find(({ textContent }) => textContent === 'The pass “Open evening”')?.value ?? '';
    });
    await studio.page.select('select', pass);
    await studio.press('button', 'Add it');
    await studio.reads(/Its pass opens only from/);
    await studio.press('button', 'Hand in By the evening pass');
    await studio.reads('Its link opens nothing now.');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Hand it in anyway');
    await studio.reads(/is written down as handed in/);
  });

  test('reads well on a phone', async () => {
    await studio.page.setViewport({ width: 390, height: 844 });
    await studio.page.reload();
    await studio.reads(name);
    const wide = await studio.page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth);
    expect(wide).toBe(false);
    expect(await studio.axe()).toEqual([]);
  });
});
