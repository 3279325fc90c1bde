import { afterAll, describe, expect, test } from '@jest/globals';
import { draftOf } from './support/change-draft.ts';
import { openDemoStudio } from './support/demo-studio.ts';
import { fits } from './support/fits.ts';

/** About you: who is behind the work, each thing as high as its maker lets it; typed, hung, published and read. */
const demo = await openDemoStudio();
const { studio, rooms, publish, asStranger, server } = demo;
const { page } = studio;
const site = rooms.split('/').at(-1) ?? '';
afterAll(() => demo.close());

const tags = (height: string) =>
  page.$$eval(
    '.about-level',
    (levels, wanted) =>
      levels
        .filter((one) => one.querySelector('h3')?.textContent?.startsWith(wanted))
        .flatMap((one) => [...one.querySelectorAll('.about-tag')].map((tag) => tag.textContent)),
    height,
  );
const raise = async (what: string | RegExp, to: string) => {
  await studio.press('button', what);
  await studio.press('menuitemradio', new RegExp(`^${to}`));
};

describe('the room About you', () => {
  test('begins with one press, and is filled in as it is read', async () => {
    await page.goto(`${rooms}/about`);
    await studio.reads('How high each thing flies');
    expect(await tags('Invited')).toContain('Full name');
    // The demo's own page goes first.
    const own = (await draftOf(page, site)).pages.find(({ kind }) => kind === 'about');
    await page.evaluate((path) => fetch(path, { method: 'DELETE' }), `/api/sites/${site}/pages/${own?.id}`);
    await page.reload();
    await studio.reads('One page says who is behind the work');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Start the page about you');
    await studio.reads('How high each thing flies');
    expect(await studio.axe()).toEqual([]);
    await studio.fill(/^Full name/, 'Wren Tolliver');
    await studio.fill(/^Headline/, 'Useful things for a harbour town');
    await studio.fill(/^Town/, 'Saltmere');
    await studio.fill(/^Region/, 'The north coast');
    await studio.fill(/^Free for/, 'a placement');
    await studio.fill(/^Until/, 'summer');
    await page.keyboard.press('Tab');
    await studio.reads('Write a whole day, for example 15 June 2027.');
    await studio.fill(/^Until/, '29 August 2027');
    await page.keyboard.press('Tab');
    await studio.press('button', 'Add a language');
    await studio.take('How well you speak English', 'first language');
    await studio.press('button', 'Add a link');
    await studio.fill('Name of link 1', 'Repair café');
    await studio.fill('Address of Repair café', 'repair.example/saltmere');
    await studio.press('button', 'Add');
    await studio.fill('Where did it start?', 'Two streets from the boatyard, in its skip.');
    await studio.fill('What can somebody check?', 'I keep the sheet I wasted where I can see it.');
    await studio.take('What proves “What can somebody check?”', 'Shown in Tide clock');
    await studio.saved();
    expect(await tags('Invited')).toEqual(['Full name', 'Town']);
    expect(await tags('Public')).toEqual([
      'Portrait, cut from paper',
      'Headline',
      'Region',
      'Free for',
      'Languages',
      'Links',
      'Half biography',
      'Half why work with me',
    ]);
    expect(await studio.axe()).toEqual([]);
  });

  test('hangs a thing lower and higher by keys, a step of undo each; the focus goes with it', async () => {
    const focused = () => page.evaluate(() => document.activeElement?.textContent);
    await (await studio.named('button', 'Languages')).focus();
    await page.keyboard.press('ArrowDown');
    await studio.reads('Languages: Unlisted, anyone with the link.');
    expect([await tags('Unlisted'), await focused()]).toEqual([['Languages'], 'Languages']);
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
    await studio.reads('Languages: Private, only you.');
    expect(await focused()).toBe('Languages');
    await studio.saved();
    await studio.press('button', /^Undo/);
    await studio.reads('Undone');
    expect(await tags('Invited')).toEqual(['Full name', 'Town', 'Languages']);
    await studio.press('button', 'Let Languages up');
    await studio.press('button', 'Let Languages up');
    await studio.saved();
    expect(await tags('Public')).toContain('Languages');
  });

  test('of several portraits shows the first, and keeps the others', async () => {
    await studio.press('button', 'Add');
    await studio.press('button', 'Letters');
    await studio.fill(/^Letters/, 'W');
    await studio.press('button', 'Show this one first');
    await studio.saved();
    const names = await page.$$eval('.about-portrait > :last-child', (all) =>
      all.map((one) => one.textContent),
    );
    expect(names).toEqual(['First: Portrait, letters', '2: Portrait, cut from paper', 'Add']);
    await studio.press('button', /^Undo/);
    await studio.reads('Undone');
    expect(await studio.named('button', /First: Portrait, cut from paper$/)).toBeTruthy();
  });

  test('readers get what they may have, and from a sentence to what proves it', async () => {
    await raise(/^Height of the page about you/, 'Public');
    await publish();
    const reader = await asStranger('/wren-makes/about/');
    await reader.reads('Useful things for a harbour town');
    const body = await reader.page.content();
    for (const own of ['Wren Tolliver', 'Saltmere', 'Where did it start?']) expect(body).not.toContain(own);
    for (const said of ['The north coast', 'until 29 August 2027', 'English, first language', 'Repair café'])
      expect(body).toContain(said);
    expect(await reader.page.$$eval('.portrait', (all) => all.map((one) => one.tagName))).toEqual(['svg']);
    expect(await reader.axe()).toEqual([]);
    await reader.page.setViewport({ width: 390, height: 844 });
    await fits(reader);
    await Promise.all([reader.page.waitForNavigation(), reader.page.click('.in-words a')]);
    expect(await reader.page.$eval('h1', (h1) => h1.textContent)).toBe('Tide clock');
    await reader.page.close();
  });

  test('under 18, one switch closes the site to strangers at once, and keeps every choice', async () => {
    const status = async () => (await fetch(`${server.origin}/wren-makes/about/`)).status;
    await page.goto(`${rooms}/about`);
    await studio.reads('I am under 18');
    expect(await status()).toBe(200);
    await (await studio.named('switch', /^I am under 18/)).focus();
    await page.keyboard.press('Space');
    await studio.reads('Closed on all your sites');
    expect(await status()).toBe(404);
    expect(await tags('Invited')).toEqual(['Full name', 'Town']);
    expect(await studio.axe()).toEqual([]);
    // It is held in the other rooms as well, which say by what.
    await page.goto(`${rooms}/share`);
    await studio.reads('under 18');
    expect(await studio.axe()).toEqual([]);
    await page.goto(`${rooms}/about`);
    await (await studio.named('switch', /^I am under 18/)).focus();
    await page.keyboard.press('Space');
    await studio.reads('as high as you chose it');
    expect(await status()).toBe(404);
    const draft = await draftOf(page, site);
    expect([draft.site.height, draft.site.underAge]).toEqual(['public', false]);
    await publish();
    expect(await status()).toBe(200);
  });

  test('fits a phone, and its page can be composed like any other', async () => {
    await page.setViewport({ width: 390, height: 844 });
    await page.goto(`${rooms}/about`);
    await studio.reads('How high each thing flies');
    await fits(studio);
    expect(await studio.axe()).toEqual([]);
    await page.setViewport({ width: 1280, height: 800 });
    await page.goto(`${rooms}/about`);
    await studio.press('link', 'Compose the page');
    await studio.reads('Two streets from the boatyard');
    expect(await studio.axe()).toEqual([]);
  });
});
