import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { type DemoStudio, openDemoStudio } from './support/demo-studio.ts';

/** The heights of several pages at once, with who gains and who loses said before. */
let demo: DemoStudio;
beforeAll(async () => {
  demo = await openDemoStudio();
});
afterAll(() => demo.close());

const status = (path: string) =>
  demo.studio.page.evaluate(async (at) => (await fetch(at, { cache: 'no-store' })).status, path);

test('are lowered by the keyboard and closed at once; the focus comes back', async () => {
  const { studio, rooms } = demo;
  await studio.page.goto(`${rooms}/share`);
  const opener = await studio.named('button', 'Change several at once');
  await opener.focus();
  await studio.page.keyboard.press('Enter');
  await studio.reads('Nobody gains or loses a page by that.');
  for (const name of ['Tide clock', 'Float lamp']) {
    const box = await studio.named('checkbox', new RegExp(`^${name}`));
    await box.focus();
    await studio.page.keyboard.press('Space');
  }
  await studio.press('button', 'Invited');
  await studio.reads('2 pages less: Tide clock, Float lamp');
  for (const width of [1280, 390]) {
    await studio.page.setViewport({ width, height: 800 });
    expect(await studio.axe()).toEqual([]);
  }
  await studio.page.setViewport({ width: 1280, height: 800 });
  expect(await status('/wren-makes/for-the-harbour/tide-clock/')).toBe(200);
  await studio.press('button', 'Set 2 pages to Invited');
  await studio.page.waitForFunction(() => document.querySelector('[role=dialog]') === null);
  expect(await status('/wren-makes/for-the-harbour/tide-clock/')).toBe(404);
  expect(await status('/wren-makes/for-the-harbour/float-lamp/')).toBe(404);
  expect(await status('/wren-makes/for-the-harbour/fold-flat-bee-hotel/')).toBe(200);
  expect(await studio.page.evaluate(() => document.activeElement?.textContent)).toBe(
    'Change several at once',
  );
});

test('what is not open is told in letters of its own, the same for every site, without a scroll bar', async () => {
  const reader = await demo.asStranger('/wren-makes/never-was/');
  await reader.reads('Nothing is open here.');
  await reader.page.waitForFunction(() =>
    [...document.fonts].some(({ family, status }) => family === 'Door' && status === 'loaded'),
  );
  expect(
    await reader.page.evaluate(
      () => document.documentElement.scrollHeight - document.documentElement.clientHeight,
    ),
  ).toBe(0);
  expect(await reader.axe()).toEqual([]);
});
