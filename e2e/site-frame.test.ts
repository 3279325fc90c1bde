import { afterAll, describe, expect, test } from '@jest/globals';
import { openDemoStudio } from './support/demo-studio.ts';
import { fits } from './support/fits.ts';

/** What stands on every page of a site, and how its front page hangs: set in Arrange, read by a stranger. */
const { server, studio, rooms, publish, asStranger, close } = await openDemoStudio();
afterAll(close);
const { page } = studio;

describe('on every page', () => {
  test('a quick link is typed once, asked whether it answers, and stands where it is wanted', async () => {
    await page.goto(`${rooms}/arrange`);
    await studio.reads('On every page');
    await studio.press('button', 'Add a quick link');
    await studio.fill(/^Name/, 'Test rig bookings');
    await studio.fill(/^Where it leads/, 'no-answer.example/rig');
    // Left by Escape, the field keeps what was typed; the link is then asked by itself.
    await page.keyboard.press('Escape');
    await studio.reads(/Test rig bookings[^]*no-answer\.example[^]*It does not answer, asked today/);
    await studio.press('button', 'Ask whether it answers: Book the workshop');
    await studio.reads('It answers, asked today.');
    await studio.press('button', /^Test rig bookings/);
    await studio.take('At the end of', 'Chosen pages');
    await studio.press('checkbox', 'Tide clock');
    await studio.press('checkbox', 'At the end of the menu');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Done');
    await studio.reads('Stands in the menu, at the end of 1 page.');
    expect(await studio.axe()).toEqual([]);
    await publish();
    const end = async (path: string) => {
      const reader = await asStranger(path);
      const links = await reader.page.$$eval('.quick a', (all) => all.map((a) => a.textContent));
      const menu = await reader.page.$$eval('.menu a', (all) => all.map((a) => a.textContent));
      expect(await reader.axe()).toEqual([]);
      return [links, menu.at(-1)];
    };
    expect(await end('/wren-makes/for-the-harbour/tide-clock/')).toEqual([
      ['Book the workshop', 'Test rig bookings'],
      'Test rig bookings',
    ]);
    expect(await end('/wren-makes/')).toEqual([['Book the workshop'], 'Test rig bookings']);
  });

  test('the site and a page have their languages, and what is written from the right is laid out so', async () => {
    await page.goto(`${rooms}/arrange`);
    await studio.reads('On every page');
    await studio.take(/^Language of the site/, 'Deutsch');
    await studio.press('button', 'More for Float lamp');
    await studio.press('menuitem', /^Name and address/);
    await studio.take('Language', 'العربية');
    await studio.reads('Nobody has written the pages’ own words in it yet');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Done');
    await studio.take(/^Contact/, 'A link to where you are');
    await studio.fill(/^Where you are/, 'no address');
    await page.keyboard.press('Tab');
    await studio.reads('web address');
    await studio.take(/^Contact/, 'A form to write to you');
    await studio.reads('Your address stands nowhere.');
    await publish();

    const german = await asStranger('/wren-makes/for-the-harbour/tide-clock/');
    expect(
      await german.page.evaluate(() => [document.documentElement.lang, document.documentElement.dir]),
    ).toEqual(['de', 'ltr']);
    for (const words of ['Zeitraum', 'September bis Dezember 2025', 'Nachweise', 'mit Idris Vane', 'Kontakt'])
      await german.reads(words);
    expect(await german.page.$eval('.ways a', (a) => a.getAttribute('href'))).toBe('../../_write/');

    const arabic = await asStranger('/wren-makes/for-the-harbour/float-lamp/');
    const { page: shown } = arabic;
    expect(await shown.evaluate(() => [document.documentElement.lang, document.documentElement.dir])).toEqual(
      ['ar', 'rtl'],
    );
    // The frame of the site stays in the site's language.
    expect(await shown.$eval('header', (header) => [header.lang, header.dir])).toEqual(['de', 'ltr']);
    for (const width of [390, 820, 1280]) {
      await shown.setViewport({ width, height: 900 });
      await fits(arabic);
    }
    // Headings begin at the right, on the same line as the words below them.
    const rights = await shown.$$eval('.words h2, .words p', (all) =>
      all.map((one) => Math.round(one.getBoundingClientRect().right)),
    );
    expect(new Set(rights).size).toBe(1);
    expect(await arabic.axe()).toEqual([]);
  });

  test('names stand below, over and beside the wall; without a welcome the work comes first', async () => {
    const { page: wide } = await asStranger('/wren-makes/');
    expect(await wide.$$eval('.wall .more', (all) => all.length)).toBe(0);
    await page.goto(`${rooms}/arrange`);
    await studio.reads('Front-page wall');
    await studio.take('The name of each stands', 'Over its picture');
    await studio.press('checkbox', 'With dates');
    await studio.press('checkbox', 'With tags');
    await studio.press('checkbox', /^The front page begins with a welcome/);
    await studio.reads('The work begins right below the menu.');
    await publish();
    const over = await asStranger('/wren-makes/');
    const inside = await over.page.$$eval('.card', (cards) =>
      cards.map((card) => {
        const [frame, title] = ['.frame', '.title'].map((name) =>
          card.querySelector(name)?.getBoundingClientRect(),
        );
        return frame && title && title.top >= frame.top && title.bottom <= frame.bottom + 1;
      }),
    );
    expect(inside).toEqual([true, true, true, true]);
    expect(await over.page.$$eval('.wall .more', (all) => all.map((one) => one.textContent))).toContain(
      'September bis Dezember 2025 · clock · harbour · reclaimed',
    );
    // The title is heard; what is seen first is work.
    expect(
      await over.page.$eval('h1', (h1) => [h1.className, h1.getBoundingClientRect().height <= 1]),
    ).toEqual(['unseen', true]);
    expect(await over.axe()).toEqual([]);

    await studio.take('The name of each stands', 'Beside the wall, in a list');
    await publish();
    const outside = await asStranger('/wren-makes/');
    expect(await outside.page.$$eval('.names a', (all) => all.length)).toBe(4);
    // Pressed, a picture leads where its name does.
    await outside.page.click('.labels-outside .card a');
    await outside.page.waitForSelector('.opening');
    expect(outside.page.url()).toBe(`${server.origin}/wren-makes/for-the-harbour/tide-clock/`);
    const again = await asStranger('/wren-makes/');
    expect(await again.axe()).toEqual([]);
    await again.page.setViewport({ width: 390, height: 844 });
    await fits(again);
  });
});

test('a site begins from a starter that was looked at, and an existing one takes a page of another', async () => {
  await page.goto(`${server.origin}/studio/new-site`);
  await studio.press('radio', /^Year by year/);
  await page.waitForSelector('.starter-example h1');
  await studio.press('button', 'A project');
  await studio.reads('Market stall');
  expect(await studio.axe()).toEqual([]);
  await studio.fill('Name of the site', 'Three years');
  // Pressed twice, it starts one site.
  await page.$$eval('button', (all) => {
    const start = all.find(({ textContent }) => textContent === 'Start the site');
    start?.click();
    start?.click();
  });
  await studio.reads('A piece from the second year');
  const begun = await page.evaluate(async () => {
    const sites = (await (await fetch('/api/sites')).json()) as { title: string }[];
    return sites.filter(({ title }) => title === 'Three years').length;
  });
  expect(begun).toBe(1);
  await studio.press('button', 'Add a page');
  await studio.press('menuitem', /^From a starter/);
  await studio.press('radio', /^Work to be hired for/);
  await studio.reads('there is one already');
  for (const name of [/^My strongest piece/, /^Work in a team/, /^Something I found out/, /^Résumé/])
    await studio.press('checkbox', name);
  expect(await studio.axe()).toEqual([]);
  await studio.press('button', 'Take 1 page over');
  await studio.reads('1 page tied at the end of the string, empty and Private.');
  await studio.press('button', /^Undo/);
  await page.waitForFunction(
    () => ![...document.querySelectorAll('[data-page]')].some((row) => row.textContent?.includes('Services')),
  );
});
