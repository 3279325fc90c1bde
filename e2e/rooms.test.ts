import { afterAll, describe, expect, test } from '@jest/globals';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { partKinds } from '#core/parts/parts.ts';
import { openDemoStudio } from './support/demo-studio.ts';
import { demoPictures, Driver } from './support/studio-driver.ts';

/** The demo site in the studio: every room, wrong files, two tabs, a phone, a pulled plug. */
const { server, browser, studio, rooms, close } = await openDemoStudio();
afterAll(close);

const openTideClock = async (driver: Driver) => {
  await driver.page.goto(`${rooms}/projects`);
  await driver.press('link', 'Tide clock');
  await driver.reads('Case facts');
};

const idOfProject = (title: string) =>
  studio.page.$$eval(
    '.dialog option',
    (options, wanted) => options.find((option) => option.textContent === wanted)?.value ?? '',
    title,
  );

describe('the demo site in the studio', () => {
  test('says truthfully what readers see', async () => {
    await studio.reads('Visitors see release 1');
    await studio.reads('1 edit waiting');
  });

  test('shows every kind of part to readers at least once', async () => {
    const live = await studio.page.evaluate(
      async (path) => {
        const site = (await (await fetch(path)).json()) as {
          pages: { height: string; parts?: { kind: string; height: string }[] }[];
        };
        return site.pages
          .filter(({ height }) => height === 'public')
          .flatMap(({ parts = [] }) => parts.filter(({ height }) => height !== 'private'))
          .map(({ kind }) => kind);
      },
      `/api/sites/${rooms.split('/').pop()}`,
    );
    expect([...new Set(live)].sort()).toEqual(Object.keys(partKinds).sort());
  });

  test('tells what they do not see yet beside that sentence, until it is pressed again', async () => {
    const sentence = await studio.named('button', /1 edit waiting/);
    const isOpen = () => sentence.evaluate((button) => button.getAttribute('aria-expanded') === 'true');
    await sentence.click();
    await studio.reads('Readers do not see this yet');
    expect(await studio.axe()).toEqual([]);
    await sentence.click();
    await studio.page.waitForSelector('[aria-label="What waits to be published"]', { hidden: true });
    expect(await isOpen()).toBe(false);
    await sentence.click();
    await studio.reads('Readers do not see this yet');
    await studio.page.keyboard.press('Escape');
    await studio.page.waitForSelector('[aria-label="What waits to be published"]', { hidden: true });
    expect(await isOpen()).toBe(false);
    // It is given back a moment after the popover has gone.
    await studio.page.waitForFunction((button) => document.activeElement === button, {}, sentence);
  });

  test.each(['gather', 'projects', 'about', 'arrange', 'look', 'check', 'share', 'feedback'])(
    'axe finds nothing in %s, wide and on a phone',
    async (room) => {
      await studio.page.goto(`${rooms}/${room}`, { waitUntil: 'networkidle0' });
      expect(await studio.axe()).toEqual([]);
      await studio.page.setViewport({ width: 390, height: 844 });
      expect(await studio.axe()).toEqual([]);
      const overflow = await studio.page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(overflow).toBe(0);
      await studio.page.setViewport({ width: 1280, height: 800 });
    },
  );

  test('wrong files each get a sentence, and good ones beside them are taken', async () => {
    const broken = join(server.folder, 'broken.jpg');
    const letter = join(server.folder, 'letter.jpg');
    const picture = await readFile(join(demoPictures, 'bike-trailer/05-loaded-with-crates.jpg'));
    await writeFile(broken, picture.subarray(0, 9000));
    await writeFile(letter, 'Dear harbour office, this is not a picture.');
    await studio.page.goto(`${rooms}/gather`);
    await studio.reads('none used');
    await studio.choose([
      broken,
      join(demoPictures, 'bike-trailer/05-loaded-with-crates.jpg'),
      letter,
      join(demoPictures, 'tide-clock/01-sketch.jpg'),
    ]);
    await studio.reads(/1 added, 1 here already, 2 not added/);
    await studio.reads('broken or was cut off');
    await studio.reads('not what its name says');
    await studio.reads('you have this already');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Put this list away');
    // The new one is chosen, ready for a project; those that were here are not.
    await studio.reads('1 chosen');
    await studio.press('button', 'None');
  });

  test('a material is looked at, chosen, deleted and brought back', async () => {
    const tiles = () => studio.page.$$eval('.tile', (found) => found.length);
    const before = await tiles();
    await studio.press('button', /^Harbour at dusk: look at it/);
    await studio.reads('Used in');
    expect(await studio.axe()).toEqual([]);
    await studio.press('checkbox', /^Choose Harbour at dusk/);
    await studio.press('button', 'Delete');
    await studio.reads('1 deleted');
    expect(await tiles()).toBe(before - 1);
    await studio.press('button', /^Undo/);
    await studio.reads('Undone: Delete from Gather');
    expect(await tiles()).toBe(before);
  });

  test('facts of one: a rough date, a tag, a project, and whose work it is; all of it after a reload', async () => {
    await studio.page.goto(`${rooms}/gather`);
    await studio.press('button', /^Ring sketch: look at it/);
    await studio.fill(/^Taken on/, 'sometime in spring');
    await studio.page.keyboard.press('Enter');
    await studio.reads('Write a day, a month or a year');
    await studio.fill(/^Taken on/, 'november 2025');
    await studio.page.keyboard.press('Enter');
    await studio.fill(/^Tags/, 'sketch, Paper');
    await studio.page.keyboard.press('Enter');
    await studio.press('radio', /^Someone else/);
    await studio.fill(/^Maker/, 'Harbour Office');
    await studio.fill(/^Source/, 'https://archive.example/pier/4');
    await studio.reads('Still needed: a licence.');
    await (await studio.page.$('.facts-side fieldset select'))?.select('CC-BY-SA-4.0');
    await studio.reads('Ring sketch, Harbour Office. archive.example. CC BY-SA 4.0.');
    expect(await studio.axe()).toEqual([]);
    await studio.saved();
    await studio.page.reload();
    await studio.press('button', /^Ring sketch: look at it/);
    await studio.reads('Ring sketch, Harbour Office. archive.example. CC BY-SA 4.0.');
    const field = await studio.named('textbox', /^Taken on/);
    expect(await field.evaluate((input) => (input as HTMLInputElement).value)).toBe('November 2025');
    await studio.press('button', 'Take off the tag Paper');
    await studio.saved();
    await studio.press('button', 'Close the facts');
  });

  test('found by a word, grouped by month, and the facts of many changed and taken back at once', async () => {
    const shown = () => studio.page.$$eval('.tile', (found) => found.length);
    const headings = () =>
      studio.page.$$eval('.gather .group-head h2', (found) => found.map((one) => one.textContent));
    const all = await shown();
    const find = 'Find in titles, captions, tags, makers and documents';
    await studio.fill(find, 'harbour office', 'searchbox');
    await studio.reads('1 of');
    expect(await shown()).toBe(1);
    await studio.fill(find, 'nothing like it', 'searchbox');
    await studio.reads('Nothing has “nothing like it”');
    await studio.page.keyboard.press('Escape');
    await studio.page.waitForFunction((n) => document.querySelectorAll('.tile').length === n, {}, all);
    await (await studio.page.$('[aria-label="Group"]'))?.select('month');
    expect(await headings()).toContain('November 2025');
    await (await studio.page.$('[aria-label="Group"]'))?.select('project');
    expect((await headings())[0]).toBe('Loose');

    await studio.press('checkbox', /^Choose Gears, shaky/);
    await studio.press('checkbox', /^Choose Harbour at dusk/);
    await studio.press('button', 'Facts of these');
    await studio.reads('What you leave alone stays as it is');
    expect(await studio.axe()).toEqual([]);
    await studio.fill(/^Tags/, 'spring show');
    await studio.page.keyboard.press('Enter');
    await (await studio.page.$('.dialog select'))?.select(await idOfProject('Sailcloth satchel'));
    await studio.press('button', 'Change 2 pictures');
    await studio.reads('Facts of 2 pictures changed');
    await studio.fill(find, 'spring show', 'searchbox');
    await studio.page.waitForFunction(
      () =>
        [...document.querySelectorAll('.gather .group-head h2')].map((one) => one.textContent).join() ===
        'Sailcloth satchel',
    );
    await studio.press('button', /^Undo/);
    await studio.reads('Undone: Facts of 2 pictures');
    await studio.reads('Nothing has “spring show”');
  });

  test('look-alikes are told and stand together, and a soft or small picture says so', async () => {
    await studio.page.goto(`${rooms}/gather`);
    await studio.choose(['13-dial-too-small.jpg'].map((name) => join(demoPictures, 'tide-clock', name)));
    await studio.reads('1 added');
    await studio.press('button', 'Put this list away');
    await studio.press('button', 'None');
    await studio.reads('2 alike, soft');
    await studio.reads('2 alike, small');
    await (await studio.page.$('[aria-label="Group"]'))?.select('alike');
    await studio.reads('Like no other');
    await studio.press('button', /^Gears, shaky: look at it/);
    await studio.reads('No part of this picture has sharp edges');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Look at Gears and motor');
    await studio.page.waitForSelector('aside[aria-label="Facts of Gears and motor"]');
    // Taken away again, so that what follows finds the room as it was.
    for (let n = 0; n < 1; n++) {
      await studio.press('button', /^Undo: Add/);
      await studio.reads('Undone: Add');
      await studio.saved();
    }
  });

  test('a picture from the tray is placed by pressing it and by dragging it', async () => {
    await openTideClock(studio);
    const bows = () =>
      studio.page.$$eval('.tail .bow-line b', (found) => found.map((bow) => bow.textContent));
    const before = await bows();
    await studio.press('button', /^Place Harbour at dusk/);
    await studio.saved();
    expect(await bows()).toEqual([...before, 'Picture']);
    const item = await studio.named('button', /^Place Float lamp by/);
    await item.evaluate((element) => element.scrollIntoView({ inline: 'center', block: 'nearest' }));
    const tie = (await studio.page.$$('.tie-place'))[0];
    await tie?.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    if (!tie) throw new Error('Nowhere to drop it.');
    await studio.drag(item, tie);
    await studio.page.waitForFunction(
      (n) => document.querySelectorAll('.tail .bow-line').length === n,
      {},
      before.length + 2,
    );
    await studio.saved();
    expect(await bows()).toEqual(['Opening', 'Picture', ...before.slice(1), 'Picture']);
    for (const left of [before.length + 1, before.length]) {
      await studio.press('button', /^Undo/);
      await studio.page.waitForFunction(
        (n) => document.querySelectorAll('.tail .bow-line').length === n,
        {},
        left,
      );
    }
    expect(await bows()).toEqual(before);
  });

  test('two tabs: the second is told, keeps its words, and decides', async () => {
    await openTideClock(studio);
    const other = new Driver(await browser.newPage());
    await openTideClock(other);
    // The first tab's words wait on a lost line, so that the other's surely arrive before them.
    await studio.page.bringToFront();
    await studio.page.setOfflineMode(true);
    await studio.page.evaluate(() =>
      document.querySelector<HTMLElement>('[aria-label="One-line summary"]')?.focus(),
    );
    await studio.page.keyboard.type('Mine. ');
    await studio.reads('Kept on this computer');
    await other.page.bringToFront();
    await other.fill('One-line summary', 'Written in the other tab.');
    await other.saved();
    await studio.page.bringToFront();
    await studio.page.setOfflineMode(false);
    await studio.reads('changed in another tab');
    expect(await studio.page.$eval('[aria-label="One-line summary"]', (line) => line.textContent)).toContain(
      'Mine.',
    );
    await studio.press('button', 'Look at both');
    await studio.reads('In the other tab, newer');
    await studio.reads('Written in the other tab.');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Take the newer one');
    await studio.saved();
    const line = () => studio.page.$eval('[aria-label="One-line summary"]', ({ textContent }) => textContent);
    await studio.page.waitForFunction(
      () =>
        document.querySelector('[aria-label="One-line summary"]')?.textContent ===
        'Written in the other tab.',
    );
    // What was given up is one undo away.
    await studio.press('button', /^Undo: The newer one taken/);
    await studio.reads('Undone: The newer one taken');
    expect(await line()).toContain('Mine.');
    await other.page.bringToFront();
    await other.page.reload();
    await other.reads('Mine.');
    await other.page.close();
  });

  test('typed words survive a pulled plug: the screen says they wait, and they arrive when the server is back', async () => {
    await studio.page.bringToFront();
    await openTideClock(studio);
    await studio.fill(/^Role/, 'Design and making, said to be saved');
    await studio.saved();
    await server.kill();
    await studio.fill(/^Made with/, 'Typed while the server was away');
    await studio.reads('Kept on this computer, 1 edit to send');
    await server.run();
    await studio.reads(/Saved \d/);
    await studio.page.reload();
    await studio.reads('Typed while the server was away');
    await studio.reads('said to be saved');
  });

  test('on a phone: words are written, facts and tray open, and the page is published', async () => {
    await studio.page.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: true });
    await openTideClock(studio);
    const edit = await studio.named('button', /^Edit Words, part 1/);
    await edit.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    await edit.tap();
    await studio.page.waitForSelector('.words-editor:focus');
    await studio.page.keyboard.type('Thumbs wrote this.');
    await studio.saved();
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Case facts');
    await studio.reads('With whom');
    await studio.press('button', 'Case facts');
    await studio.press('button', /^Not used/);
    await studio.reads('Not used yet');
    await studio.press('button', /^Not used/);
    await studio.press('button', 'Publish');
    await studio.press('button', /^Publish release \d+/);
    await studio.reads(/Release \d+ is live/);
    await studio.press('button', 'Close');
    const reader = await browser.createBrowserContext();
    const page = await reader.newPage();
    await page.goto(`${server.origin}/wren-makes/for-the-harbour/tide-clock/`);
    expect(await page.evaluate(() => document.body.innerText)).toContain('Thumbs wrote this.');
    await reader.close();
    await studio.page.setViewport({ width: 1280, height: 800 });
  });

  test('“See it as…” shows a stranger nothing of what only the maker may see', async () => {
    const maker = await studio.page.goto(`${rooms.replace('/studio/', '/studio/see/')}/maker/`);
    expect(await maker?.text()).toContain('Tide clock');
    const stranger = await studio.page.goto(
      `${rooms.replace('/studio/', '/studio/see/')}/stranger/for-the-harbour/tide-clock/`,
    );
    expect(stranger?.status()).toBe(200);
    expect(await studio.axe()).toEqual([]);
  });

  test('uploads are stopped half-way and tried again', async () => {
    await studio.page.goto(`${rooms}/gather`);
    await studio.reads('none used');
    await studio.page.emulateNetworkConditions({ upload: 20_000, download: 1_000_000, latency: 20 });
    await studio.choose(
      ['07-hero.jpg', '03-bare-frame.jpg'].map((name) => join(demoPictures, 'bike-trailer', name)),
    );
    await studio.reads(/% of it has arrived/);
    await studio.press('button', 'Stop all');
    await studio.reads('0 added, 2 not added');
    await studio.reads('Stopped. Nothing of it was stored.');
    await studio.page.emulateNetworkConditions(null);
    await studio.press('button', /^Try 07-hero/);
    await studio.reads('1 added, 1 not added');
  });

  test('the address is checked while it is typed, and the old one leads on', async () => {
    await studio.page.goto(`${rooms}/share`);
    await studio.reads('The whole site flies at');
    await studio.fill(/^Address/, 'api');
    await studio.reads('kept for Kite Wall itself');
    await studio.fill(/^Address/, 'wren-at-the-quay');
    await studio.reads('free');
    await studio.press('button', 'Use it');
    await studio.saved();
    const old = await fetch(`${server.origin}/wren-makes/for-the-harbour/tide-clock/`, {
      redirect: 'manual',
    });
    expect([old.status, old.headers.get('location')]).toEqual([
      301,
      '/wren-at-the-quay/for-the-harbour/tide-clock/',
    ]);
    expect((await fetch(`${server.origin}/wren-at-the-quay/`)).status).toBe(200);
  });
});
