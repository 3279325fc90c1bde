import { afterAll, describe, expect, test } from '@jest/globals';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { openDemoStudio } from './support/demo-studio.ts';
import { demoPictures, Driver } from './support/studio-driver.ts';
import { keyTimes, openLongPage, quantile } from './support/typing.ts';

/** Writing a page: pasted from elsewhere, found by name, in two tabs at once, and fast on a long one. */
const { browser, studio, rooms, close } = await openDemoStudio();
afterAll(close);

const open = async (title: string, on = studio) => {
  await on.page.goto(`${rooms}/projects`);
  await on.press('link', title);
  await on.reads('Case facts');
};
const bows = (on = studio) =>
  on.page.$$eval('.tail .bow-line b', (found) => found.map((bow) => bow.textContent));
const paste = (html: string, text = '') => studio.paste(html, text);

describe('pasting', () => {
  test('into words: structure comes along, styles and blank lines do not, pictures are gathered and stand where they stood', async () => {
    await studio.page.goto(`${rooms}/projects`);
    await studio.press('button', 'New project');
    await studio.reads('Case facts');
    await studio.fill('Title', 'Pasted');
    await studio.press('button', /^Edit Words/);
    await studio.page.waitForSelector('.words-editor:focus');
    const picture = (await readFile(join(demoPictures, 'float-lamp/02-cardboard-mock-up.jpg'))).toString(
      'base64',
    );
    await paste(
      `<!--StartFragment--><h1 style="color:red">Lamp</h1><p style="font-family:Comic">First <b>bold</b>.</p><p>&nbsp;</p>
       <p><img src="data:image/jpeg;base64,${picture}" alt="A mock-up of card"></p>
       <ul><li>one</li><li>two</li></ul><p><img src="file:///C:/secret/other.png"></p><p>Last.</p><!--EndFragment-->`,
      'Lamp First bold. one two Last.',
    );
    await studio.reads('One picture could not be taken from what you pasted.');
    await studio.page.waitForFunction(
      () => document.querySelectorAll('.compose-page .picture img').length === 1,
    );
    expect(await bows()).toEqual(['Opening', 'Words', 'Picture', 'Words', 'Words']);
    await studio.saved();
    await studio.page.reload();
    await studio.reads('Last.');
    const drawn = await studio.page.$eval('.site', (site) => ({
      heading: site.querySelector('.prose h2')?.textContent,
      bold: site.querySelector('.prose strong')?.textContent,
      items: [...site.querySelectorAll('.prose li')].map((one) => one.textContent?.trim()),
      paragraphs: [...site.querySelectorAll('.prose > p')].map((one) => one.textContent),
      styled: site.querySelectorAll('.prose [style]').length,
    }));
    expect(drawn).toEqual({
      heading: 'Lamp',
      bold: 'bold',
      items: ['one', 'two'],
      paragraphs: ['First bold.', 'Last.'],
      styled: 0,
    });
  });

  test('with nothing selected, what was copied becomes parts of the page; a web page’s picture that cannot be had is said', async () => {
    await studio.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await paste(
      '<h2>From the web</h2><p>Copied.</p><p><img src="http://127.0.0.1:1/a.png"></p>',
      'From the web',
    );
    await studio.reads('Copied.');
    await studio.reads('could not be taken');
    expect((await bows()).length).toBe(6);
    await studio.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await studio.page.keyboard.press('Escape');
    // Words without structure become words too, and nothing in them is taken for HTML.
    await paste('', 'Plain <b>words</b>\nin two lines.\n\nAnd more.');
    await studio.reads('And more.');
    expect(
      await studio.page.$$eval('.site .prose', (all) =>
        [...(all.at(-1)?.querySelectorAll('p') ?? [])].map((one) => one.innerText),
      ),
    ).toEqual(['Plain <b>words</b>\nin two lines.', 'And more.']);
  });

  test('with no field in use, what was copied goes on in the words that are selected, or begins those that are empty', async () => {
    const { page } = studio;
    const leave = () => page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    const said = () =>
      page.$$eval('.site .prose', (all) =>
        all.map((one) => [...one.querySelectorAll('h2, p')].map((line) => line.textContent).join(' / ')),
      );
    await page.goto(`${rooms}/projects`);
    await studio.press('button', 'New project');
    await studio.reads('Case facts');
    await studio.fill('Title', 'Begun');
    await leave();
    const standing = (await bows()).length;
    await paste('<h2>Why</h2><p>Because of the tide.</p>', 'Why Because of the tide.');
    await studio.reads('Because of the tide.');
    expect((await bows()).length).toBe(standing);
    // They are selected now; what comes next stands below.
    await leave();
    await paste('', 'And the slip is wet.');
    await studio.reads('And the slip is wet.');
    expect((await said())[0]).toBe('Why / Because of the tide. / And the slip is wet.');
    expect((await bows()).length).toBe(standing);
    await studio.saved();
  });
});

describe('finding by name', () => {
  test('Ctrl and K: a page, a material, something to do, by keyboard alone', async () => {
    await open('Tide clock');
    const find = async (typed: string, first?: string) => {
      await studio.page.keyboard.down('Control');
      await studio.page.keyboard.press('k');
      await studio.page.keyboard.up('Control');
      await studio.page.waitForSelector('[cmdk-input]:focus');
      await studio.page.keyboard.type(typed);
      if (first)
        await studio.page.waitForFunction(
          (text) =>
            document
              .querySelector('[cmdk-item][aria-selected=true]')
              ?.textContent?.toLowerCase()
              .includes(text),
          {},
          first,
        );
    };
    await find('tie in: quo', 'quote');
    expect(await studio.axe()).toEqual([]);
    await studio.page.keyboard.press('Enter');
    await studio.reads('What somebody said about it goes here.');
    await studio.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await find('bee hotel', 'fold-flat bee hotel');
    await studio.page.keyboard.press('Enter');
    await studio.page.waitForFunction(
      () => document.querySelector('.compose-bar h1')?.textContent === 'Fold-flat bee hotel',
    );
    await find('harbour at dusk', 'harbour at dusk');
    await studio.page.keyboard.press('Enter');
    await studio.page.waitForSelector('.facts-side');
    expect(await studio.page.$eval('.facts-side', (side) => side.textContent)).toContain('Taken on');
    await find('nothing is called this');
    await studio.reads('Nothing here is called that.');
    await studio.page.keyboard.press('Escape');
    await find('undo', 'undo');
    await studio.page.keyboard.press('Enter');
    await studio.reads('Undone: Quote tied');
  });

  test('G and a letter goes to a room, ? shows the keys, and keys pressed alone can be turned off', async () => {
    await studio.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await studio.page.keyboard.press('g');
    await studio.page.keyboard.press('s');
    await studio.page.waitForFunction(() => location.pathname.endsWith('/share'));
    // Letters of words, typed where no field has the focus, are no way to a room.
    for (const letter of ['g', 'u', 'p', 'c'] as const) await studio.page.keyboard.press(letter);
    await studio.drawn();
    expect(studio.page.url()).toMatch(/\/share$/);
    await studio.page.keyboard.press('?');
    await studio.reads('add something to the page, then type what it is');
    expect(await studio.axe()).toEqual([]);
    await studio.press('checkbox', /^Keys pressed alone/);
    await studio.page.keyboard.press('Escape');
    await studio.page.keyboard.press('g');
    await studio.page.keyboard.press('p');
    await studio.page.keyboard.press('?');
    await studio.drawn();
    expect(studio.page.url()).toMatch(/\/share$/);
    expect(await studio.page.$('[role=dialog]')).toBeNull();
    await studio.page.evaluate(() => localStorage.removeItem('kite-wall single keys'));
  });
});

const anotherTab = async () => {
  const other = new Driver(await browser.newPage());
  await other.page.setViewport({ width: 1280, height: 800 });
  await open('Tide clock', other);
  return other;
};
const type = async (on: Driver, part: RegExp, words: string) => {
  await on.page.bringToFront();
  await on.press('button', part);
  await on.page.waitForSelector('.words-editor:focus');
  await on.page.keyboard.type(words);
};

test('the focus goes where its maker goes on, and no letter of what is written leads elsewhere', async () => {
  await open('Float lamp');
  const { page } = studio;
  const focused = () =>
    page.evaluate(
      () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.tagName,
    );
  await page.waitForSelector('.editable-line[aria-label=Title]');
  await page.focus('.editable-line[aria-label=Title]');
  await page.keyboard.press('Enter');
  expect(await focused()).toBe('One-line summary');
  const written = page.url();
  // The field loses the focus while its maker goes on typing. At one go, for what is written counts for seconds only.
  await page.evaluate(() => {
    document.execCommand('insertText', false, '.');
    (document.activeElement as HTMLElement | null)?.blur();
    for (const key of 'gs') document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
  });
  await studio.drawn();
  expect(page.url()).toBe(written);
  for (const kind of ['Quote', 'Evidence', 'Table']) {
    await studio.press('button', 'Add something at the end');
    await page.waitForSelector('.tie-type');
    await page.keyboard.type(kind);
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => document.activeElement?.closest('.part.sel .part-panel') !== null);
  }
});

test('enlarged to twice its size, half of the window is the page that is written', async () => {
  await open('Float lamp');
  const { page } = studio;
  await page.setViewport({ width: 640, height: 400 });
  await page.waitForFunction(
    () => (document.querySelector('.compose-page')?.clientHeight ?? 0) >= window.innerHeight / 2,
  );
  expect(await studio.axe()).toEqual([]);
  await page.setViewport({ width: 1280, height: 800 });
});

test('two tabs write in different parts: both are kept, and the one that comes second is told', async () => {
  await open('Tide clock');
  const other = await anotherTab();
  // The first tab's words wait on a lost line, so that the other's surely arrive before them.
  await studio.page.bringToFront();
  await studio.page.setOfflineMode(true);
  await type(studio, /^Edit Words, part 1/, 'From the first tab. ');
  await studio.reads('Kept on this computer');
  await type(other, /^Edit Words, part 4/, 'From the second tab. ');
  await other.saved();
  await studio.page.bringToFront();
  await studio.page.setOfflineMode(false);
  await studio.reads('Joined with what was changed in another tab');
  await studio.saved();
  await studio.reads('From the second tab.');
  await studio.reads('From the first tab.');
  await other.page.bringToFront();
  await other.page.reload();
  await other.reads('From the first tab.');
  await other.reads('From the second tab.');
  await other.page.close();
});

test('two tabs without a line, both closed: what was typed in either is sent by the next that is opened', async () => {
  const tabs = [await anotherTab(), await anotherTab()] as const;
  for (const [at, tab] of tabs.entries()) {
    await tab.page.bringToFront();
    await tab.page.setOfflineMode(true);
    await type(tab, [/^Edit Words, part 1/, /^Edit Words, part 4/][at] ?? /./, `Kept by tab ${at + 1}. `);
    await tab.reads('Kept on this computer');
  }
  for (const tab of tabs) await tab.page.close();
  await studio.page.bringToFront();
  await open('Tide clock');
  await studio.reads('Kept by tab 1.');
  await studio.reads('Kept by tab 2.');
  await studio.saved();
  await studio.page.reload();
  await studio.reads('Kept by tab 1.');
  await studio.reads('Kept by tab 2.');
});

test('on a page of 60 parts and 80 pictures typing is traced, and only what changed is sent', async () => {
  await studio.page.bringToFront();
  await openLongPage(studio, rooms, 60);
  const pictures = await studio.page.$$eval('.compose-page .gallery img', (all) => all.length);
  expect([(await bows()).length, pictures]).toEqual([61, 80]);
  await studio.press('button', /^Edit Words, part 32 of/);
  await studio.page.waitForSelector('.words-editor:focus');
  const bytes: number[] = [];
  studio.page.on('request', (request) => {
    if (request.method() === 'PATCH') bytes.push(request.postData()?.length ?? 0);
  });
  const typed = 'Every letter of this sentence is a key that was pressed and painted. ';
  const times = await keyTimes(studio, typed);
  console.log(
    `Key to paint, ${typed.length} keys on 60 parts and 80 pictures: median ${quantile(times, 0.5)} ms, 95th ${quantile(times, 0.95)} ms, longest ${times.at(-1)} ms; ${bytes.length} saves of at most ${Math.max(...bytes)} bytes.`,
  );
  await studio.page.reload();
  await studio.reads(typed.trim());
  // One part with how it was, and not the other 59.
  expect(bytes.length).toBeGreaterThan(0);
  expect(Math.max(...bytes)).toBeLessThan(4000);
});
