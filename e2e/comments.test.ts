import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { type DemoStudio, openDemoStudio } from './support/demo-studio.ts';
import { demoPictures, Driver } from './support/studio-driver.ts';

/** A tutor with a pass, on a phone and without scripts, says something; its maker shows it, answers, and takes it up. */
let demo: DemoStudio;
let tutor: Driver;
let link = '';
const clock = 'for-the-harbour/tide-clock/';

/** A browser of somebody else's. */
async function another(scripts: boolean): Promise<Driver> {
  const page = await (await demo.browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 390, height: 844 });
  await page.setJavaScriptEnabled(scripts);
  return new Driver(page);
}
const open = (reader: Driver, path = link + clock) => reader.page.goto(demo.server.origin + path);
const send = async (reader: Driver) => {
  const button = await reader.page.waitForSelector('.remark button');
  await Promise.all([reader.page.waitForNavigation(), button?.click()]);
};

beforeAll(async () => {
  demo = await openDemoStudio();
  const { studio, rooms } = demo;
  await studio.page.goto(`${rooms}/share/passes`);
  await studio.fill(/^Name it/, 'Crit group');
  await studio.press('checkbox', 'They may comment, by a name they choose');
  await studio.reads('They can comment; nobody sees it before you show it.');
  await studio.press('button', 'Make the pass');
  await studio.reads('“Crit group” is made.');
  link = await studio.page.$eval(
    '[aria-label="Just made"] input',
    (field) => new URL((field as HTMLInputElement).value).pathname,
  );
  tutor = await another(false);
});
afterAll(() => demo.close());

describe('whoever holds a pass that allows it', () => {
  test('is told what is missing and keeps what was typed, then sees that it waits', async () => {
    await open(tutor);
    await tutor.page.type('.remark [name=words]', 'What did the ferry crew say?');
    await send(tutor);
    await tutor.reads('Write a name. A nickname is enough.');
    expect(await tutor.page.evaluate(() => document.activeElement?.getAttribute('name'))).toBe('name');
    await tutor.page.type('.remark [name=name]', 'Marlo');
    await tutor.page.type('.remark [name=quote]', 'Words that stand nowhere');
    await send(tutor);
    await tutor.reads('These words do not stand on this page.');
    // As a browser copies them, from a heading into the words below it.
    const copied = await tutor.page.evaluate(() => {
      const heading = [...document.querySelectorAll('main h2')].find(({ textContent }) =>
        textContent?.startsWith('Why the hour'),
      );
      const below = heading?.nextElementSibling;
      const selection = getSelection();
      if (!heading || !below || !selection) return '';
      selection.setBaseAndExtent(heading, 0, below, below.childNodes.length);
      return selection.toString();
    });
    expect(copied).toMatch(/^Why the hour was the wrong question\s+The slip/);
    await tutor.page.$eval('.remark [name=quote]', (field) => {
      (field as HTMLInputElement).value = '';
    });
    await tutor.page.type('.remark [name=quote]', copied.replace(/\s+/g, ' ').slice(0, 80));
    await send(tutor);
    await tutor.reads('Only you and whoever made this see it so far.');
    expect(new URL(tutor.page.url()).hash).toMatch(/^#comment-/);
    // A reload sends nothing again.
    await tutor.page.reload();
    expect(await tutor.page.$$('.remarks li')).toHaveLength(1);
    expect(
      await tutor.page.$$eval('.remarks blockquote', (all) => all.map((one) => one.textContent)),
    ).toEqual([copied.replace(/\s+/g, ' ').slice(0, 80).trim()]);
    expect(await tutor.page.$eval('.remark [name=name]', (field) => (field as HTMLInputElement).value)).toBe(
      'Marlo',
    );
  });

  test('speaks of a part by its name', async () => {
    const select = (await tutor.page.waitForSelector('.remark select')) as ElementHandle<HTMLSelectElement>;
    const [value, name] = await select.evaluate(({ options }) => [
      options[1]?.value ?? '',
      options[1]?.textContent ?? '',
    ]);
    await select.select(value ?? '');
    await tutor.page.type('.remark [name=words]', 'This is where it begins to convince me.');
    await send(tutor);
    await tutor.reads('This is where it begins to convince me.');
    expect(
      await tutor.page.$$eval('.remarks li a', (links) => links.map(({ textContent }) => textContent)),
      // What is quoted says by itself where it stands.
    ).toEqual(['Why the hour was the wrong question', name]);
  });

  test('is the only one who sees it', async () => {
    const friend = await another(true);
    await open(friend);
    await friend.reads('Write a comment');
    expect(await friend.axe()).toEqual([]);
    const stranger = await another(true);
    await open(stranger, `/wren-makes/${clock}`);
    for (const reader of [friend, stranger])
      expect(await reader.page.content()).not.toMatch(/ferry crew say|convince me/);
    expect(await stranger.page.$('#remarks')).toBeNull();
  });
});

describe('its maker, by keyboard', () => {
  test('reads what waits, shows it to whoever holds the pass, and answers', async () => {
    const { studio, rooms } = demo;
    await studio.page.goto(`${rooms}/feedback`);
    await studio.reads('3 comments wait for you. Nobody else sees them.');
    expect(await studio.axe()).toEqual([]);
    const row = await studio.page.waitForSelector('li ::-p-text(What did the ferry crew say?)');
    const list = await row?.evaluateHandle((words) => words.closest('li')?.querySelector('select'));
    await (list?.asElement() as ElementHandle<HTMLSelectElement>).focus();
    // On a list of choices, keys go from one to the next.
    await studio.page.keyboard.type('Who');
    await studio.reads('2 comments wait for you.');
    // Its row has gone from among those that wait, and the focus with it.
    await studio.page.waitForFunction(() => document.activeElement?.id === 'comments-title');
    await studio.press('button', /^Open/);
    await studio.reads('What did the ferry crew say?');
    await studio.reads('with the pass “Crit group”');
    await studio.press('button', 'Answer');
    await studio.page.keyboard.type('That they stopped looking');
    await studio.page.reload();
    // What is begun is there again, once its row is.
    await studio.press('button', /^Open/);
    const field = await studio.named('textbox', /^Answer/);
    expect(await field.evaluate((one) => (one as HTMLTextAreaElement).value)).toBe(
      'That they stopped looking',
    );
    await field.focus();
    await studio.page.keyboard.press('End');
    await studio.page.keyboard.type(' at the sheet.');
    // Without a connection it is said, and nothing is gone.
    await studio.page.setOfflineMode(true);
    await studio.press('button', 'Put it there');
    await studio.reads(/The server cannot be reached/);
    await studio.page.setOfflineMode(false);
    await field.focus();
    await studio.page.keyboard.press('Tab');
    await studio.page.keyboard.press('Enter');
    await studio.reads('Your answer. Whoever sees the comment sees it.');
    await studio.page.waitForFunction(() => document.activeElement?.textContent === 'Change the answer');
    await open(tutor);
    await tutor.reads('That they stopped looking at the sheet.');
    const friend = await another(true);
    await open(friend);
    await friend.reads('That they stopped looking at the sheet.');
    expect(await friend.axe()).toEqual([]);
    await open(friend, `/wren-makes/${clock}`);
    expect(await friend.page.content()).not.toContain('ferry crew say');
  });

  test('shows one to everybody, takes it up, and takes it away for all at once', async () => {
    const { studio } = demo;
    await studio.take('Who sees it', 'Everybody who can open the page');
    await studio.press('button', 'Say thank you');
    await studio.press('button', 'Take the thanks back');
    await studio.press('button', 'Say thank you');
    await studio.take('Taken up', 'Taken up');
    await studio.reads('Taken up 2');
    const stranger = await another(true);
    await open(stranger, `/wren-makes/${clock}`);
    await stranger.reads('What did the ferry crew say?');
    await stranger.reads('Taken up. Whoever made this says thank you.');
    expect(await stranger.axe()).toEqual([]);
    await studio.press('button', /^Taken up 2/);
    await studio.press('button', 'Delete what Marlo said');
    await studio.reads('What Marlo said is deleted.');
    await stranger.page.reload();
    expect(await stranger.page.content()).not.toContain('ferry crew say');
    await studio.press('button', 'Undo');
    await studio.reads('Taken up 2');
    await open(stranger, `/wren-makes/${clock}`);
    await stranger.reads('What did the ferry crew say?');
  });

  test('has one taken up with the next publish, and is told when the words it quotes are changed', async () => {
    const { studio, rooms } = demo;
    await studio.page.goto(`${rooms}/feedback`);
    await studio.reads('comments wait for you.');
    await studio.press('button', /^Open/);
    await studio.reads('Mette');
    await studio.reads('Taken up with the next publish');
    await studio.press('button', /^Publish$/);
    await studio.press('button', /^Publish release/);
    await studio.reads('Taken up 3');
    await studio.page.keyboard.press('Escape');
    await studio.press('button', /^Taken up 3/);
    const changed = 'The words it quotes are not in your draft any more.';
    await studio.reads('What did the ferry crew say?');
    expect(await studio.page.content()).not.toContain(changed);
    await studio.press('link', 'Tide clock');
    await studio.press('button', /^Edit Words, part 1/);
    await studio.page.waitForSelector('[contenteditable=true]:focus');
    await studio.page.keyboard.down('Control');
    await studio.page.keyboard.press('a');
    await studio.page.keyboard.up('Control');
    await studio.page.keyboard.type('It was the wrong question.');
    await studio.reads(/Saved \d/);
    await studio.page.goto(`${rooms}/feedback`);
    await studio.press('button', /^Taken up 3/);
    await studio.reads(changed);
  });

  test('finds room for all of it on a phone', async () => {
    const { studio } = demo;
    await studio.page.setViewport({ width: 390, height: 844 });
    await studio.reads('Comments on pages');
    expect(await studio.axe()).toEqual([]);
    expect(await studio.page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
});

describe('of pictures and moments', () => {
  test('a picture is pressed where it is meant, without script, and its maker sees where', async () => {
    const reader = await another(false);
    await open(reader);
    await reader.page.type('.remark [name=name]', 'Ines');
    await reader.page.type('.remark [name=words]', 'Is this line the high water?');
    const go = async (selector: string, offset?: { x: number; y: number }) => {
      const thing = await reader.page.waitForSelector(selector);
      await Promise.all([reader.page.waitForNavigation(), thing?.click(offset ? { offset } : {})]);
    };
    await go('.remark [name=pointing]');
    await reader.reads('Press the picture you mean, at the spot you mean.');
    const sketch = '#remark [type=image][alt^="Pencil sketch"]';
    await go(sketch, { x: 70, y: 100 });
    // By the Back button the pictures are there again, and nobody is asked whether to send something twice.
    await Promise.all([reader.page.waitForNavigation(), reader.page.goBack()]);
    await reader.reads('Press the picture you mean, at the spot you mean.');
    await go(sketch, { x: 70, y: 100 });
    // It came back to the form, at the form.
    expect(new URL(reader.page.url()).hash).toBe('#remark');
    expect(await reader.page.$eval('.remark .pointed', (one) => one.getAttribute('aria-label'))).toMatch(
      /^Pencil sketch.*: Left$/,
    );
    await send(reader);
    await reader.reads('Is this line the high water?');
    const { studio, rooms } = demo;
    await studio.page.goto(`${rooms}/feedback`);
    await studio.reads('Is this line the high water?');
    const shown = await studio.page.waitForSelector('li img[alt^="Pencil sketch"]');
    expect(await shown?.evaluate((one) => one.getAttribute('alt'))).toMatch(/, marked: left$/);
    expect(await studio.axe()).toEqual([]);
  });

  test('by keyboard a picture is chosen, and then a part of it by name', async () => {
    const reader = await another(true);
    await open(reader);
    await reader.page.type('.remark [name=name]', 'Ines');
    await reader.page.type('.remark [name=words]', 'And here?');
    const enter = async (selector: string) => {
      await reader.page.focus(selector);
      await Promise.all([reader.page.waitForNavigation(), reader.page.keyboard.press('Enter')]);
    };
    await enter('.remark [name=pointing]');
    expect(await reader.axe()).toEqual([]);
    await enter('#remark [type=image][alt^="Pencil sketch"]');
    expect(await reader.page.$('.remark option[value=point]')).toBeNull();
    await reader.page.select('.remark [name=extent]', 'bottom-right');
    expect(await reader.axe()).toEqual([]);
    await send(reader);
    await reader.reads('And here?');
    expect(
      await reader.page.$eval('.remarks li:last-child .pointed', (one) => one.getAttribute('aria-label')),
    ).toMatch(/: Lower right$/);
  });

  test('a moment is chosen by its name and date', async () => {
    const reader = await another(true);
    await open(reader);
    const moment = await reader.page.$$eval('.moments .moment', (all) => ({
      name: all[0]?.querySelector('h3, h4')?.textContent ?? '',
      date: all[0]?.querySelector('time')?.textContent ?? '',
      id: all[0]?.querySelector('[id^="at-"]')?.id ?? '',
    }));
    expect(moment.id).not.toBe('');
    await reader.page.select('.remark [name=part]', moment.id.slice('at-'.length));
    await reader.page.type('.remark [name=name]', 'Ines');
    await reader.page.type('.remark [name=words]', 'How long did that take?');
    await send(reader);
    await reader.reads('How long did that take?');
    const where = await reader.page.$$eval('.remarks li a', (links) =>
      links.map((one) => [one.textContent, one.getAttribute('href')]),
    );
    expect(where.at(-1)).toEqual([`${moment.name}, ${moment.date}`, `#${moment.id}`]);
  });
});

describe('with files', () => {
  test('a picture is put to what was said, by keyboard and without script; what cannot be taken is said there', async () => {
    const reader = await another(false);
    await open(reader);
    await reader.page.type('.remark [name=name]', 'Marlo');
    await reader.page.type('.remark [name=words]', 'I drew how I would hang it.');
    await send(reader);
    await reader.reads('I drew how I would hang it.');
    const add = async (file: string) => {
      const own = '.remarks li:last-child details';
      if (!(await reader.page.$(`${own}[open]`))) {
        await reader.page.focus(`${own} summary`);
        await reader.page.keyboard.press('Enter');
        await reader.page.waitForSelector(`${own}[open]`);
      }
      const input = (await reader.page.$(`${own} input[type=file]`)) as ElementHandle<HTMLInputElement>;
      await input.uploadFile(join(demoPictures, file));
      await reader.page.focus(`${own} button`);
      await Promise.all([reader.page.waitForNavigation(), reader.page.keyboard.press('Enter')]);
    };
    await add('tide-clock/narration.mp3');
    await reader.reads('This is neither a picture nor a document. What you wrote is there.');
    await add('tide-clock/06-bench-shot-rotated.jpg');
    await reader.reads('With it: 06-bench-shot-rotated.jpg. Only you and whoever made this know of it.');
    await add('bike-trailer/workshop-test-sheet.pdf');
    await reader.reads('With it: 06-bench-shot-rotated.jpg, workshop-test-sheet.pdf.');
    expect(await reader.page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    const friend = await another(true);
    await open(friend);
    await friend.reads('Write a comment');
    expect(await friend.page.content()).not.toMatch(/bench-shot-rotated|hang it/);
    await friend.page.type('.remark [name=name]', 'Pia');
    await friend.page.type('.remark [name=words]', 'Mine has none yet.');
    await send(friend);
    await friend.reads('Add a picture or a document');
    await friend.page.$eval('.remarks details', (details) => {
      details.open = true;
    });
    expect(await friend.axe()).toEqual([]);
  });

  test('its maker sees the picture and saves the document', async () => {
    const { studio, rooms } = demo;
    await studio.page.bringToFront();
    await studio.page.setViewport({ width: 1280, height: 800 });
    await studio.page.goto(`${rooms}/feedback`);
    await studio.reads('I drew how I would hang it.');
    const picture = await studio.page.waitForSelector('img[alt^="Sent with it"]');
    await picture?.evaluate((one) => one.scrollIntoView());
    await studio.page.waitForFunction(
      () => (document.querySelector('img[alt^="Sent with it"]') as HTMLImageElement).naturalWidth > 0,
    );
    await studio.named('link', /^workshop-test-sheet\.pdf, 0\.\d MB$/);
    expect(await studio.axe()).toEqual([]);
    await studio.page.setViewport({ width: 390, height: 844 });
    expect(await studio.axe()).toEqual([]);
    expect(await studio.page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
});
