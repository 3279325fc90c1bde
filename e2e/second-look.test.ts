import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { type DemoStudio, openDemoStudio } from './support/demo-studio.ts';
import { Driver } from './support/studio-driver.ts';

/** A maker asks somebody to look at the draft; they do, on a phone, by keyboard and without scripts; the maker reads what they say. */
let demo: DemoStudio;
let partner: Driver;
let link = '';
const clock = 'for-the-harbour/tide-clock/';

beforeAll(async () => {
  demo = await openDemoStudio();
  const page = await (await demo.browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 390, height: 844 });
  await page.setJavaScriptEnabled(false);
  partner = new Driver(page);
});
afterAll(() => demo.close());

const focused = () =>
  partner.page.evaluate(() => {
    const field = document.activeElement as HTMLInputElement | null;
    return `${field?.name ?? ''} ${field?.value ?? ''}`.trim();
  });
async function tabTo(field: RegExp): Promise<void> {
  for (let presses = 0; presses < 300 && !field.test(await focused()); presses++)
    await partner.page.keyboard.press('Tab');
  expect(await focused()).toMatch(field);
}

test('a maker makes a link to the draft that ends by itself', async () => {
  const { studio, rooms } = demo;
  await studio.page.goto(`${rooms}/check`);
  await studio.press('button', 'Ask somebody else');
  await studio.press('button', 'Make the link');
  await studio.reads('Say who looks, so that you know whose ticks they are.');
  await studio.fill(/^Who looks/, 'Marlo');
  await studio.press('button', 'Make the link');
  await studio.reads('Has ticked nothing yet.');
  link = await studio.page.$eval(
    '[aria-label="Link for Marlo"]',
    (field) => new URL((field as HTMLInputElement).value).pathname,
  );
  expect(await studio.page.evaluate(() => document.activeElement?.textContent)).toBe('Marlo');
  expect(await studio.axe()).toEqual([]);
});

test('whoever has it ticks and asks, by keyboard on a phone, without scripts', async () => {
  await partner.page.goto(demo.server.origin + link + clock);
  await partner.reads('A draft, shown to Marlo until');
  expect(await partner.page.$eval('.look-mark a', (one) => one.getAttribute('href'))).toBe('#second-look');
  await tabTo(/^says-/);
  await partner.page.keyboard.press('Space');
  // The next group: its first choice, and by an arrow the second.
  await partner.page.keyboard.press('Tab');
  await partner.page.keyboard.press('Space');
  await partner.page.keyboard.press('ArrowDown');
  expect(await focused()).toMatch(/^says-.* unsure$/);
  await partner.page.keyboard.press('Tab');
  await partner.page.keyboard.type('Who cut the dial?');
  await partner.page.keyboard.press('Tab');
  const part = await partner.page.$$eval('.look select', (lists) => {
    const shown = lists.find((list) => list.checkVisibility());
    return [...(shown as HTMLSelectElement).options].map(({ text }) => text);
  });
  expect(part[0]).toBe('This page');
  expect(part.length).toBeGreaterThan(2);
  await partner.page.keyboard.press('ArrowDown');
  await partner.page.focus('.look button');
  await Promise.all([partner.page.waitForNavigation(), partner.page.keyboard.press('Enter')]);
  await partner.reads('Kept: 2 of 7 lines.');
  expect(
    await partner.page.evaluate(
      () => document.documentElement.scrollWidth <= document.documentElement.clientWidth,
    ),
  ).toBe(true);
  // A reload sends nothing again, and what was kept is there on every page.
  await partner.page.setJavaScriptEnabled(true);
  await partner.page.goto(demo.server.origin + link);
  expect(await partner.page.$$('.look input[value=yes]:checked')).toHaveLength(1);
  expect(await partner.page.$$('.look input[value=unsure]:checked')).toHaveLength(1);
  expect(await partner.axe()).toEqual([]);
});

test('its maker reads it beside their own, is led to the spot, and ends the link', async () => {
  const { studio, rooms } = demo;
  await studio.page.goto(`${rooms}/check`);
  await studio.reads('1 of 7 ticked, 1 asked');
  await studio.reads('“Who cut the dial?”');
  await studio.press('link', /^Take me to “.*”, Tide clock$/);
  await studio.page.waitForFunction(() => /\/projects\/[\w-]+\?part=/.test(window.location.href));
  await studio.page.goto(`${rooms}/check`);
  await studio.press('button', 'End it now: Marlo');
  await studio.reads('The link is over and opens nothing any more.');
  const over = await partner.page.goto(demo.server.origin + link + clock);
  expect(over?.status()).toBe(404);
  await studio.page.setViewport({ width: 390, height: 844 });
  expect(await studio.axe()).toEqual([]);
  expect(await studio.page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await studio.page.setViewport({ width: 1280, height: 800 });
  await studio.press('button', 'Delete the second look of Marlo');
  await studio.press('button', 'Delete it and what they said');
  await studio.page.waitForFunction(() => !document.body.innerText.includes('Marlo'));
});
