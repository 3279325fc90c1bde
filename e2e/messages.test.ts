import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { type DemoStudio, openDemoStudio } from './support/demo-studio.ts';
import { Driver } from './support/studio-driver.ts';

/** A reader without scripts writes to the maker, who reads it in the studio and by mail. */
let demo: DemoStudio;
let reader: Driver;
const clock = '/wren-makes/for-the-harbour/tide-clock/';

beforeAll(async () => {
  demo = await openDemoStudio();
  const context = await demo.browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport({ width: 390, height: 844 });
  await page.setJavaScriptEnabled(false);
  reader = new Driver(page);
});
afterAll(() => demo.close());

/** Loads what a form's button leads to. */
const press = async (name: string, by = reader) => {
  const button = await by.page.waitForSelector(`::-p-aria([name="${name}"][role="button"])`);
  await Promise.all([by.page.waitForNavigation(), button?.click()]);
};

describe('a reader without scripts, on a phone', () => {
  test('is told what is missing, in its place, and keeps what was typed', async () => {
    await reader.page.goto(demo.server.origin + clock);
    await reader.page.type('.write [name=words]', 'I would like to see the clock.\nMay I come on Friday?');
    await press('Read it over');
    await reader.reads('Write your name. A first name is enough.');
    expect(await reader.page.title()).toMatch(/^Not sent yet: /);
    expect(await reader.page.$eval('.write [name=words]', (field) => field.textContent)).toContain('Friday?');
    expect(await reader.page.evaluate(() => document.activeElement?.getAttribute('name'))).toBe('name');
    // The answer is where the form was.
    expect(
      await reader.page.$eval('.write', (form) => form.getBoundingClientRect().top < window.innerHeight),
    ).toBe(true);
  });

  test('reads it over, changes it, and sends it', async () => {
    await reader.page.type('.write [name=name]', 'Ada Quill');
    await reader.page.type('.write [name=from]', 'ada@reader.example');
    await press('Read it over');
    await reader.reads('This will be sent. Is it right?');
    await press('Change it');
    await reader.page.type('.write [name=name]', 'Old ');
    await press('Read it over');
    await reader.reads('Old Ada Quill');
    await press('Send it');
    await reader.reads('is in the box of whoever made this site');
    expect(await reader.page.title()).toMatch(/^Sent: /);
    expect(await reader.page.content()).not.toContain('wren@demo.example');
  });
});

test('each answer is clean for axe, also in the form that every page leads to', async () => {
  const other = await demo.asStranger('/wren-makes/');
  await Promise.all([other.page.waitForNavigation(), other.press('link', 'Contact')]);
  await other.reads('Write to Wren');
  expect(await other.axe()).toEqual([]);
  await press('Read it over', other);
  expect(await other.axe()).toEqual([]);
  for (const [field, text] of [
    ['name', 'Bo'],
    ['from', 'bo@reader.example'],
    ['words', 'Hello.'],
  ])
    await other.page.type(`.write [name=${field}]`, text ?? '');
  await press('Read it over', other);
  await other.page.waitForFunction(
    () => document.activeElement?.textContent === 'This will be sent. Is it right?',
  );
  expect(await other.axe()).toEqual([]);
});

describe('the maker', () => {
  test('sees on the rail that something came, reads it, deletes it and has it back', async () => {
    const { studio, rooms } = demo;
    await studio.page.goto(`${rooms}/projects`);
    await studio.page.waitForFunction(() =>
      // The comment of the demo that waits for its maker counts with the two letters.
      document.querySelector('nav a[href$="/feedback"]')?.textContent?.includes('3 not read'),
    );
    await studio.page.goto(`${rooms}/feedback`);
    await studio.reads('2 not read yet');
    await studio.press('button', /Old Ada Quill/);
    await studio.reads('May I come on Friday?');
    await studio.reads('1 not read yet');
    await studio.reads('Tide clock, Wren');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Delete what Old Ada Quill wrote');
    await studio.reads('What Old Ada Quill wrote is deleted.');
    await studio.press('button', 'Undo');
    await studio.reads('May I come on Friday?');
    await studio.page.setViewport({ width: 390, height: 844 });
    expect(await studio.page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await studio.axe()).toEqual([]);
    await studio.page.setViewport({ width: 1280, height: 800 });
  });

  test('has a copy by mail, in the box of the stand-in', async () => {
    const inbox = await fetch(`${demo.server.standIns}/inbox`);
    const html = await inbox.text();
    expect(html).toContain('Old Ada Quill wrote to you on Wren');
    expect(html).toContain('May I come on Friday?');
    await demo.studio.reads('A copy went to you by mail.');
  });
});
