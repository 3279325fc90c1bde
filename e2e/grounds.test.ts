import { afterAll, describe, expect, test } from '@jest/globals';
import type { Page } from 'puppeteer-core';
import { themeNames } from '../core/look/theme-names.ts';
import { changePage, draftOf } from './support/change-draft.ts';
import { openDemoStudio } from './support/demo-studio.ts';
import { fits } from './support/fits.ts';
import { readWords } from './support/read-words.ts';
import { lookOf, openDraft, wear } from './support/worn-look.ts';

/** What parts and pages lie on: set in Compose and Look, read by everybody, measured pixel by pixel. */
const { server, studio, rooms, publish, asStranger, close } = await openDemoStudio();
afterAll(close);
const { page } = studio;
const site = rooms.split('/').at(-1) ?? '';
const lamp = '/wren-makes/for-the-harbour/float-lamp/';

/** Whether the standing picture and what passes over it share the same place on the screen. */
const overlaps = (reader: Page) =>
  reader.evaluate(() => {
    const box = (selector: string) => document.querySelector(selector)?.getBoundingClientRect();
    const [picture, part] = [box('.standing'), box('.goes-by > .place')];
    if (!picture || !part) return null;
    return part.top < picture.bottom - 1 && part.bottom > picture.top + 1;
  });

describe('in Compose', () => {
  test('a part gets a ground, the next one joins it, and undo takes it away', async () => {
    await page.goto(`${rooms}/projects`);
    await studio.press('link', 'Tide clock');
    await studio.press('button', /^Edit Words, part 1/);
    await studio.press('button', 'More for this words part');
    await studio.press('menuitem', 'What it lies on');
    await studio.reads('Parts that follow each other on equal grounds lie on one together.');
    await page.select('[role=dialog] select', 'strong');
    await page.waitForSelector('.band[data-ground=strong] [data-kind=words]');
    await studio.press('button', 'Done');
    await studio.press('button', /^Edit Gallery, part 2/);
    await studio.press('button', 'More for this gallery part');
    await studio.press('menuitem', 'What it lies on');
    await page.select('[role=dialog] select', 'above');
    await page.waitForSelector('.band[data-ground=strong] [data-kind=gallery]');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Done');
    await studio.saved();
    expect(await page.$$eval('.band', (all) => all.length)).toBe(1);
    await studio.press('button', /^Undo/);
    await page.waitForFunction(() => !document.querySelector('.band [data-kind=gallery]'));
    await studio.saved();
  });

  test('what passes over pictures for readers lies below them while it is made', async () => {
    await page.goto(`${rooms}/projects`);
    await studio.press('link', 'Float lamp');
    await page.waitForSelector('.band.passing [data-kind=reflection]');
    expect(await overlaps(page)).toBe(false);
  });
});

describe('for readers', () => {
  test('parts pass over standing pictures on a wide screen, and lie below them on phones, with less motion and without script', async () => {
    await publish();
    const reader = (await asStranger(lamp)).page;
    await reader.setViewport({ width: 1280, height: 800 });
    expect(await overlaps(reader)).toBe(true);
    // The picture stands while the part goes by.
    const tops = [];
    const band = await reader.$eval('.band.passing', (one) => one.getBoundingClientRect().top + scrollY);
    for (const at of [60, 200]) {
      await reader.evaluate((y) => scrollTo(0, y), band + at);
      tops.push(await reader.$eval('.standing .stand', (one) => Math.round(one.getBoundingClientRect().top)));
    }
    expect(tops).toEqual([0, 0]);
    await reader.setViewport({ width: 390, height: 844 });
    expect(await overlaps(reader)).toBe(false);
    await reader.setViewport({ width: 1280, height: 800 });
    await reader.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
    expect(await overlaps(reader)).toBe(false);
    await reader.emulateMediaFeatures([]);
    await reader.emulateMediaType('print');
    expect(await overlaps(reader)).toBe(false);
    await reader.emulateMediaType('screen');
    expect(await overlaps(reader)).toBe(true);
    await reader.setJavaScriptEnabled(false);
    await reader.reload();
    expect(await overlaps(reader)).toBe(false);
    await reader.close();
  });

  test('a picture in a window moves behind its frame while the page is read, and stands still with less motion', async () => {
    const reader = (await asStranger(lamp)).page;
    await reader.setViewport({ width: 1280, height: 800 });
    const window = await reader.$eval(
      '.picture.window .stand',
      (one) => one.getBoundingClientRect().top + scrollY,
    );
    const moved = async () => {
      const at = [];
      for (const y of [window - 700, window - 100]) {
        await reader.evaluate((to) => scrollTo(0, to), y);
        await new Promise((resolve) => setTimeout(resolve, 200));
        at.push(
          await reader.evaluate(() => {
            const frame = document.querySelector('.picture.window .stand');
            const image = frame?.querySelector('img');
            return Math.round(
              (image?.getBoundingClientRect().top ?? 0) - (frame?.getBoundingClientRect().top ?? 0),
            );
          }),
        );
      }
      return at;
    };
    const [before = 0, after = 0] = await moved();
    expect(after).toBeGreaterThan(before + 20);
    // Its frame is never empty.
    for (const top of [before, after]) expect(top).toBeLessThanOrEqual(0);
    await reader.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
    expect(await moved()).toEqual([0, 0]);
    await reader.close();
  });
});

describe.each(themeNames)('in the theme %s', (theme) => {
  test.each(['light', 'dark'] as const)('every word on every ground can be read, %s', async (scheme) => {
    await page.setViewport({ width: 1280, height: 800 });
    await page.goto(`${rooms}/look`);
    const draft = await draftOf(page, site);
    const named = (name: string) => draft.materials.find(({ fileName }) => fileName.includes(name))?.id ?? '';
    const [wall, gears, dusk = ''] = ['08-hero-on-wall', '04-gears-and-motor', '03-harbour-dusk'].map(named);
    const wide = true;
    const grounds = [
      { kind: 'colour', colour: 'quiet', wide },
      { kind: 'colour', colour: 'paper', wide: false },
      { kind: 'picture', picture: wall, wide },
      { kind: 'passing', pictures: [wall, gears], side: 'right' },
      { kind: 'passing', pictures: [wall, gears], side: 'right' },
      { kind: 'colour', colour: 'strong', wide },
      { kind: 'texture', texture: 'dots', wide: false },
      { kind: 'picture', picture: dusk, wide: false },
    ];
    const clock = draft.pages.find(({ slug }) => slug === 'tide-clock');
    if (!clock || !('parts' in clock)) throw new Error('The demo has no tide clock.');
    await changePage(page, site, clock.id, {
      parts: clock.parts.map((part, at) => ({ ...part, ground: grounds[at] })),
    });
    // By night on a page that lies on a picture as well, in a look of AAA.
    const ground = { colour: null, texture: null, picture: dusk };
    const look = lookOf(theme, scheme === 'light' ? { scheme } : { scheme, ground, comfort: 'AAA' });
    await page.goto(`${rooms}/look`);
    await wear(page, site, look);
    for (const width of [1280, 390]) {
      await page.setViewport({ width, height: 800 });
      await openDraft(page, server.origin, site, 'for-the-harbour/tide-clock/');
      const { below, lines } = await readWords(page, look.comfort);
      expect([width, below]).toEqual([width, []]);
      expect(lines).toBeGreaterThan(40);
      await fits(studio);
    }
    expect(await studio.axe()).toEqual([]);
  });
});
