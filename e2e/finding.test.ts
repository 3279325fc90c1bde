import { afterAll, beforeEach, describe, expect, test } from '@jest/globals';
import { join } from 'node:path';
import type { HTTPRequest } from 'puppeteer-core';
import { openDemoStudio } from './support/demo-studio.ts';
import { demoPictures, Driver } from './support/studio-driver.ts';

/** Finding, sorting, choosing by keyboard, moving, renaming and replacing; the camera and the microphone. */
const { server, browser, studio, rooms, close } = await openDemoStudio();
afterAll(close);
const find = 'Find in titles, captions, tags, makers and documents';
beforeEach(async () => {
  // A page behind another one draws nothing, and waiting for it would be in vain.
  await studio.page.bringToFront();
  await studio.page.goto(`${rooms}/gather`);
  await studio.reads('none used');
});

const focused = () => studio.page.evaluate(() => document.activeElement?.closest('.tile')?.textContent ?? '');
const chosen = () => studio.page.$$eval('.tile[data-chosen]', (tiles) => tiles.length);

describe('finding and sorting', () => {
  test('words that stand only inside a document find it', async () => {
    await studio.fill(find, 'sandbags rul', 'searchbox');
    await studio.page.waitForFunction(() => document.querySelectorAll('.tile').length === 1);
    await studio.reads('Workshop test sheet');
    await studio.fill(find, 'nothing like it', 'searchbox');
    await studio.reads('Nothing has');
  });

  test('grouped by kind, and as a list', async () => {
    await (await studio.page.$('[aria-label="Group"]'))?.select('kind');
    const heads = await studio.page.$$eval('.group-head h2', (found) => found.map((one) => one.textContent));
    expect(heads).toEqual(['Pictures', 'Documents', 'Clips', 'Sounds', 'Links', 'Notes']);
    await studio.press('button', 'As a list');
    await studio.reads('20 August 2026');
    expect(await studio.axe()).toEqual([]);
    await studio.page.setViewport({ width: 390, height: 844 });
    expect(await studio.axe()).toEqual([]);
    expect(
      await studio.page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      ),
    ).toBe(0);
    await studio.page.setViewport({ width: 1280, height: 800 });
  });

  test('the keyboard moves, chooses a range, everything and nothing', async () => {
    await studio.page.focus('.tile-picture');
    await studio.page.keyboard.press('ArrowRight');
    expect(await focused()).toContain('Tide tables since 1880');
    await studio.page.keyboard.down('Shift');
    await studio.page.keyboard.press('ArrowRight');
    await studio.page.keyboard.press('ArrowRight');
    await studio.page.keyboard.up('Shift');
    expect(await chosen()).toBe(3);
    await studio.page.keyboard.press('Space');
    expect(await chosen()).toBe(2);
    await studio.page.keyboard.down('Control');
    await studio.page.keyboard.press('a');
    await studio.page.keyboard.up('Control');
    expect(await chosen()).toBe(await studio.page.$$eval('.tile', (tiles) => tiles.length));
    await studio.page.keyboard.press('Escape');
    expect(await chosen()).toBe(0);
    await studio.page.keyboard.press('End');
    await studio.page.waitForFunction(
      () => document.activeElement?.closest('.tile') === [...document.querySelectorAll('.tile')].at(-1),
    );
    await studio.page.keyboard.press('ArrowUp');
    expect(await focused()).not.toBe('');
  });

  test('F2 renames in place: Escape keeps the old title, Enter the new one', async () => {
    await (await studio.named('button', /^Ring sketch: look at it/)).focus();
    await studio.page.keyboard.press('F2');
    await studio.page.keyboard.type('Not this');
    await studio.page.keyboard.press('Escape');
    await studio.page.waitForFunction(() => document.activeElement?.hasAttribute('data-material'));
    await studio.page.keyboard.press('F2');
    await studio.page.keyboard.type('Rings on paper');
    await studio.page.keyboard.press('Enter');
    await studio.saved();
    await studio.page.reload();
    await studio.press('button', /^Rings on paper: look at it/);
    await studio.press('button', 'Close the facts');
    await studio.press('button', /^Undo: Title of/);
    await studio.reads('Undone');
  });

  test('dragged onto the head of a project, it is gathered for it', async () => {
    const heads = await studio.page.$$('.group-head');
    await heads[1]?.evaluate((head) => head.scrollIntoView({ block: 'center' }));
    const [, target] = heads;
    if (!target) throw new Error('Nowhere to drop it.');
    await studio.drag(await studio.named('button', /^Harbour at dusk: look at it/), target);
    await studio.reads('gathered for Tide clock now');
    const first = () => studio.page.$eval('.tiles', (row) => row.textContent ?? '');
    expect(await first()).not.toContain('Harbour at dusk');
    await studio.press('button', /^Undo: Project/);
    await studio.reads('Undone: Project');
    expect(await first()).toContain('Harbour at dusk');
  });

  test('another file takes the place of the old one, with its words and places; a file of another kind does not', async () => {
    await studio.press('button', /^Strap detail: look at it/);
    const replace = async (file: string) => {
      const input = await studio.page.$('input[aria-label="Another file"]');
      await (
        input as Awaited<ReturnType<typeof studio.page.$>> & { uploadFile(path: string): Promise<void> }
      ).uploadFile(join(demoPictures, file));
    };
    await replace('tide-clock/narration.mp3');
    await studio.reads(/You have this file already|only a picture can stand/);
    await replace('bike-trailer/06-three-quarter-rear.jpg');
    await studio.reads('The file is another one now');
    await studio.reads('06-three-quarter-rear.jpg');
    await studio.press('button', /^Undo: Another file/);
    await studio.reads('04-strap-detail.jpg');
    await studio.press('button', 'Close the facts');
  });

  test('with five thousand materials only those in sight are drawn, and all can be reached', async () => {
    const page = await browser.newPage();
    await page.setCookie(...(await studio.page.cookies()));
    await page.setRequestInterception(true);
    page.on('request', (request: HTTPRequest) => {
      if (!/\/api\/sites\/[^/]+$/.test(request.url()) || request.method() !== 'GET')
        return void request.continue();
      void (async () => {
        const cookies = (await studio.page.cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
        const state = (await (await fetch(request.url(), { headers: { cookie: cookies } })).json()) as {
          materials: { id: string; title: string; project: string | null }[];
        };
        const [one] = state.materials;
        state.materials = Array.from({ length: 5000 }, (_, at) => ({
          ...(one as (typeof state.materials)[number]),
          id: `many${at}`,
          title: `Picture ${at}`,
          project: null,
        }));
        await request.respond({ contentType: 'application/json', body: JSON.stringify(state) });
      })();
    });
    await page.goto(`${rooms}/gather`);
    const many = new Driver(page);
    await many.reads('5000 pictures');
    expect(await page.$$eval('.tile', (tiles) => tiles.length)).toBeLessThan(150);
    await page.focus('.tile-picture');
    await page.keyboard.press('End');
    await page.waitForFunction(() =>
      document.activeElement?.closest('.tile')?.textContent?.includes('Picture 0'),
    );
    expect(await page.$$eval('.tile', (tiles) => tiles.length)).toBeLessThan(150);
    await many.fill(find, 'picture 4321', 'searchbox');
    await page.waitForFunction(() => document.querySelectorAll('.tile').length === 1);
    await page.close();
  });
});

describe('camera and microphone', () => {
  const allow = async (permissions: ('camera' | 'microphone')[]) =>
    browser.defaultBrowserContext().overridePermissions(server.origin, permissions);

  test('without permission there is a plain sentence, and nothing is added', async () => {
    await allow([]);
    await studio.press('button', 'Take a picture');
    await studio.reads('The browser was not allowed to use the camera.');
    expect(await studio.axe()).toEqual([]);
    await studio.page.keyboard.press('Escape');
    await studio.press('button', 'Voice note');
    await studio.reads('The browser was not allowed to use the microphone.');
    await studio.page.keyboard.press('Escape');
  });

  test('a picture is taken, looked at, taken again and kept, with today’s date', async () => {
    await allow(['camera', 'microphone']);
    await studio.press('button', 'Take a picture');
    await studio.page.waitForFunction(
      () => (document.querySelector('.dialog video') as HTMLVideoElement)?.videoWidth > 0,
    );
    await studio.press('button', 'Take it');
    await studio.press('button', 'Take another');
    await studio.page.waitForFunction(
      () => (document.querySelector('.dialog video') as HTMLVideoElement)?.videoWidth > 0,
    );
    await studio.press('button', 'Take it');
    await studio.press('button', 'Keep it');
    await studio.reads('1 added');
    await studio.press('button', 'Put this list away');
    await studio.saved();
    await studio.press('button', /^photo.jpg: look at it/);
    const date = await studio.named('textbox', /^Taken on/);
    const today = new Date();
    const year = String(today.getFullYear());
    expect(await date.evaluate((input) => (input as HTMLInputElement).value)).toContain(year);
    await studio.press('button', 'Close the facts');
  });

  test('a voice note is recorded, listened to and kept as a sound', async () => {
    await allow(['camera', 'microphone']);
    await studio.press('button', 'Voice note');
    await studio.press('button', 'Record');
    await studio.page.waitForFunction(() =>
      // However late a busy machine looks.
      /\d:(0[1-9]|[1-5]\d)/.test(document.querySelector('.dialog [role=status]')?.textContent ?? ''),
    );
    await studio.press('button', 'Stop');
    await studio.page.waitForSelector('.dialog audio');
    await studio.press('button', 'Keep it');
    await studio.reads('1 added');
    await studio.press('button', 'Put this list away');
    await studio.reads(/sound, \d:(0[1-9]|[1-5]\d)/);
  });
});
