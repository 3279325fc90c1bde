import { afterAll, describe, expect, test } from '@jest/globals';
import { openDemoStudio } from './support/demo-studio.ts';

/** How a case page shows what it has: its facts, its cover, galleries in their ways, parts beside each other. */
const { server, browser, studio, rooms, publish, asStranger, close } = await openDemoStudio();
afterAll(close);

const open = async (title: string) => {
  await studio.page.goto(`${rooms}/projects`);
  await studio.press('link', title);
  await studio.reads('Case facts');
};
const clock = '/wren-makes/for-the-harbour/tide-clock/';
const hotel = '/wren-makes/for-the-harbour/fold-flat-bee-hotel/';

describe('case facts', () => {
  test('months, people, course, materials, tags and a licence stand in a line, and machines read them', async () => {
    await open('Sailcloth satchel');
    await studio.fill(/^From/, 'soon');
    await studio.page.keyboard.press('Tab');
    await studio.reads('Write a month or a year');
    await studio.fill(/^From/, 'March 2025');
    await studio.page.keyboard.press('Tab');
    await studio.fill(/^To/, 'now');
    await studio.page.keyboard.press('Tab');
    await studio.press('button', 'Add somebody');
    await studio.page.waitForSelector('[aria-label="Name of person 1"]');
    await studio.press('button', 'Take off person 1');
    // As fast as keys can come: pressed and typed before anything more is drawn.
    await (
      await studio.named('button', 'Add somebody')
    ).evaluate((button) => {
      (button as HTMLElement).click();
      for (const letter of 'Ana') document.execCommand('insertText', false, letter);
    });
    await studio.fill('What Ana did', 'cut the leather');
    await studio.fill(/^Made for/, 'Sea and Cloth');
    await studio.fill(/^Field/, 'Bags');
    await studio.fill(/^Tags/, 'sail');
    await studio.page.keyboard.press('Enter');
    const licence = await studio.named('combobox', /^Licence/);
    await licence.select('CC-BY-SA-4.0');
    await studio.reads('Since March 2025');
    expect(await studio.axe()).toEqual([]);
    await studio.saved();
    await studio.page.reload();
    await studio.reads('Ana, cut the leather');
    await publish();
    const reader = await asStranger('/wren-makes/for-the-harbour/sailcloth-satchel/');
    const facts = await reader.page.$$eval('.facts > div', (all) => all.map((one) => one.innerText));
    expect(facts.map((fact) => fact.replace(/\s*\n\s*/g, ': '))).toEqual([
      'When: Since March 2025',
      'With: Ana, cut the leather',
      'Made for: Sea and Cloth',
      'Field: Bags',
      'Materials: A torn mainsail, mooring rope',
      'Tags: sail',
      'Licence: CC BY-SA 4.0',
    ]);
    const read: unknown = JSON.parse(
      await reader.page.$eval('script[type="application/ld+json"]', (data) => data.textContent ?? ''),
    );
    expect(read).toMatchObject({
      '@type': 'CreativeWork',
      creator: { '@type': 'Role', startDate: '2025-03' },
      license: 'https://creativecommons.org/licenses/by-sa/4.0/',
      contributor: [{ '@type': 'Role', roleName: 'cut the leather' }],
    });
    expect(await reader.axe()).toEqual([]);
  });

  test('the picture shown with a link to a page can be fetched; a page only some may open names none', async () => {
    const meta = async (html: string, name: string) =>
      new RegExp(`property="og:${name}" content="([^"]*)"`).exec(html)?.[1];
    const html = await (await fetch(server.origin + clock)).text();
    expect(await meta(html, 'url')).toBe(server.origin + clock);
    expect(await meta(html, 'title')).toBe('Tide clock');
    const image = await fetch((await meta(html, 'image')) ?? '');
    expect([image.status, image.headers.get('content-type')]).toEqual([200, 'image/jpeg']);
    const draft = await studio.page.goto(`${rooms.replace('/studio/', '/studio/see/')}/link/`);
    expect(await draft?.text()).not.toContain('og:image');
  });

  test('a cover of one’s own stands on the board and on the wall, at the point that was chosen', async () => {
    await open('Tide clock');
    await studio.press('button', 'Another picture');
    await studio.press('button', 'Gears and motor');
    await studio.press('button', 'Keep in view');
    await studio.fill(/^From left/, '20', 'spinbutton');
    await studio.page.keyboard.press('Tab');
    expect(await studio.axe()).toEqual([]);
    await studio.page.keyboard.press('Escape');
    await publish();
    const home = await asStranger('/wren-makes/');
    const alts = await home.page.$$eval('.card', (cards) =>
      cards.map((card) => card.querySelector('img')?.getAttribute('src') ?? ''),
    );
    const gears = await (
      await asStranger(clock)
    ).page.$$eval('figure', (figures) =>
      figures
        .find((figure) => figure.innerText.includes('gears slow the motor'))
        ?.querySelector('img')
        ?.getAttribute('src'),
    );
    expect(alts[0]).toBe(gears?.replace('../../', ''));
    const beside = await asStranger(hotel);
    expect(
      await beside.page.$eval('.next img', (picture) => getComputedStyle(picture).objectPosition),
    ).toMatch(/^20% /);
    await studio.press('button', 'The first picture again');
    await studio.saved();
  });
});

describe('galleries', () => {
  test('rows, columns, an even grid, one large; captions below, when pointed at, hidden', async () => {
    await open('Tide clock');
    await studio.press('button', /^Edit Gallery/);
    const drawn = () =>
      studio.page.$eval('.part.sel .gallery', (gallery) => {
        const boxes = [...gallery.querySelectorAll('img')].map((one) => one.getBoundingClientRect());
        return {
          tops: new Set(boxes.map(({ top }) => Math.round(top))).size,
          lefts: new Set(boxes.map(({ left }) => Math.round(left))).size,
          square: boxes.every(({ width, height }) => Math.abs(width - height) < 2),
        };
      });
    await studio.press('button', 'Columns');
    await studio.page.waitForSelector('.part.sel .columns');
    expect((await drawn()).lefts).toBe(2);
    await studio.press('button', 'Even grid');
    await studio.page.waitForSelector('.part.sel .even-grid');
    expect((await drawn()).square).toBe(true);
    await studio.press('button', 'One large');
    await studio.page.waitForSelector('.part.sel .strip-of-large');
    expect((await drawn()).tops).toBe(1);
    await studio.press('checkbox', /^The next one comes by itself/);
    await studio.press('button', 'When pointed at');
    expect(await studio.axe()).toEqual([]);
    await publish();

    const reader = await asStranger(clock);
    expect(await reader.page.$$eval('.strip-tools button', (all) => all.map((one) => one.innerText))).toEqual(
      ['Before', 'Next', 'Stop'],
    );
    await reader.press('button', 'Stop');
    await reader.press('button', 'Play');
    await reader.press('button', 'Next');
    await reader.reads('2 of 6');
    const opacity = () =>
      reader.page.$eval('.strip-of-large figcaption', (one) => getComputedStyle(one).opacity);
    expect(await opacity()).toBe('0');
    await reader.page.focus('.strip-of-large figure a');
    await reader.page.waitForFunction(
      () => getComputedStyle(document.querySelector('.strip-of-large figcaption') as Element).opacity === '1',
    );
    expect(await reader.axe()).toEqual([]);
  });

  test('nothing moves by itself for readers who want less motion, nor on touch; without a script all are there', async () => {
    const context = await browser.createBrowserContext();
    const calm = await context.newPage();
    await calm.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
    await calm.goto(server.origin + clock, { waitUntil: 'networkidle0' });
    const buttons = () => calm.$$eval('.strip-tools button', (all) => all.map((one) => one.innerText));
    expect(await buttons()).toEqual(['Before', 'Next']);
    await calm.emulateMediaFeatures([]);
    await calm.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: true });
    await calm.goto(server.origin + clock, { waitUntil: 'networkidle0' });
    expect(await buttons()).toEqual(['Before', 'Next']);
    // Where nothing can be pointed with, captions stand below.
    expect(await calm.$eval('.strip-of-large figcaption', (one) => getComputedStyle(one).position)).toBe(
      'static',
    );
    await calm.setJavaScriptEnabled(false);
    await calm.goto(server.origin + clock);
    expect((await calm.$$('.strip-of-large img')).length).toBe(6);
    expect((await calm.$$('.strip-tools')).length).toBe(0);
    await context.close();
  });
});

describe('parts beside each other', () => {
  test('tied in as two, moved by keys and by hand, put below each other and back; stacked on a phone', async () => {
    await open('Sailcloth satchel');
    await studio.press('button', /^Edit Words/);
    await studio.page.waitForSelector('.words-editor:focus');
    // Escape leaves the part, and what is tied in next stands after it.
    await studio.page.keyboard.press('Escape');
    await studio.page.waitForSelector('.part-pick:focus');
    expect(await studio.page.$('.part.sel')).toBeNull();
    await studio.page.keyboard.press('/');
    await studio.page.waitForSelector('.tie-type:focus');
    await studio.page.keyboard.type('side');
    await studio.page.keyboard.press('Enter');
    await studio.press('button', 'Choose a picture');
    await studio.press('button', 'Strap detail');
    await studio.page.waitForSelector('.pair img');
    const handle = await studio.named('separator', 'How wide the first of the two is');
    const share = () => handle.evaluate((line) => line.getAttribute('aria-valuenow'));
    expect(await share()).toBe('50');
    await handle.focus();
    await studio.page.keyboard.press('ArrowRight');
    expect(await share()).toBe('75');
    const pair = await (await studio.page.$('.pair'))?.boundingBox();
    const box = await handle.boundingBox();
    if (!pair || !box) throw new Error('The two are not in sight.');
    await studio.page.mouse.move(box.x + box.width / 2, box.y + 40);
    await studio.page.mouse.down();
    await studio.page.mouse.move(pair.x + pair.width * 0.3, box.y + 40, { steps: 6 });
    await studio.page.mouse.up();
    expect(await share()).toBe('25');
    await studio.press('button', /^Edit Words, part 3/);
    await studio.page.waitForSelector('.words-editor:focus');
    await studio.page.keyboard.type('Beside it.');
    expect(await studio.axe()).toEqual([]);
    await publish();

    const reader = await asStranger('/wren-makes/for-the-harbour/sailcloth-satchel/');
    const feet = () =>
      reader.page.$$eval('.pair > .half', (halves) =>
        halves.map((half) => Math.round(half.getBoundingClientRect().bottom)),
      );
    const [left, right] = await feet();
    expect(left).toBe(right);
    await reader.page.setViewport({ width: 390, height: 844 });
    const [upper = 0, lower = 0] = await feet();
    expect(lower).toBeGreaterThan(upper);

    await studio.press('button', 'More for this words part');
    await studio.press('menuitem', 'Below the part above');
    await studio.page.waitForFunction(() => !document.querySelector('.pair'));
    await studio.press('button', 'More for this words part');
    await studio.press('menuitem', 'Beside the part above');
    await studio.page.waitForSelector('.pair');
  });

  test('a picture leads where its maker says, in words too', async () => {
    await studio.press('button', /^Edit Picture/);
    await studio.fill(/^A click leads to/, 'kite.example/straps');
    await studio.page.keyboard.press('Tab');
    await publish();
    const reader = await asStranger('/wren-makes/for-the-harbour/sailcloth-satchel/');
    expect(
      await reader.page.$eval('.picture-link', (link) => [
        link.getAttribute('href'),
        (link as HTMLElement).innerText.trim(),
      ]),
    ).toEqual(['https://kite.example/straps', 'Leads to kite.example']);
    expect(await reader.axe()).toEqual([]);
  });
});
