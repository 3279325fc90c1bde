import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { htmlFaults } from '#server/testing/html-faults.ts';
import { type DemoStudio, openDemoStudio } from './support/demo-studio.ts';
import type { Driver } from './support/studio-driver.ts';

/** How the work came about: kept in the studio, drawn for readers, each of whom gets only what is theirs. */
let demo: DemoStudio;
let studio: Driver;
let clock = '';

const site = '/wren-makes/for-the-harbour';
const read = async (path: string): Promise<string> => (await fetch(demo.server.origin + path)).text();

beforeAll(async () => {
  demo = await openDemoStudio();
  studio = demo.studio;
  clock = await studio.page.$$eval(
    'h2 a',
    (links) => links.find(({ textContent }) => textContent === 'Tide clock')?.getAttribute('href') ?? '',
  );
  await studio.page.goto(`${demo.server.origin}${clock}/moments`);
  await studio.reads('9 moments');
});
afterAll(() => demo.close());

/** The moment that is chosen, once it is another one than before. */
async function title(before: string | null = null): Promise<string> {
  const name = await studio.page.waitForFunction(
    (was) => {
      const now = document.querySelector('.moment-knot[aria-current] .moment-name')?.textContent ?? null;
      return now !== was && now;
    },
    {},
    before,
  );
  return String(await name.jsonValue());
}

describe('the room', () => {
  test('is clean for axe, and no wider than a phone', async () => {
    expect(await studio.axe()).toEqual([]);
    await studio.page.setViewport({ width: 390, height: 844 });
    expect(await studio.page.$eval('main', (main) => main.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await studio.axe()).toEqual([]);
    await studio.page.setViewport({ width: 1280, height: 800 });
  });

  test('is walked along by keys, and nothing hangs over anything else', async () => {
    await studio.page.focus('.moment-knot');
    await studio.page.keyboard.press('Home');
    expect(await title()).toBe('One hand');
    const seen: string[] = [];
    for (let n = 0; n < 9; n++) {
      seen.push(await title(seen.at(-1)));
      const boxes = await studio.page.$$eval('.moment-card', (cards) =>
        cards.map((card) => card.getBoundingClientRect()).map(({ left, right }) => [left, right]),
      );
      for (const [at, [left = 0]] of boxes.entries())
        expect(left).toBeGreaterThanOrEqual(boxes[at - 1]?.[1] ?? -Infinity);
      if (n < 8) await studio.page.keyboard.press('ArrowRight');
    }
    expect(seen).toHaveLength(9);
    expect(seen.at(-1)).toBe('By the back door');
    expect(new Set(seen).size).toBe(9);
    expect(await studio.axe()).toEqual([]);
  });

  test('is zoomed by two fingers, on a trackpad and on a screen', async () => {
    const zoom = () =>
      studio.page.$eval('.moment-line', (line) => line.scrollWidth).then((width) => Math.round(width));
    const box = await (await studio.page.waitForSelector('.moment-line'))?.boundingBox();
    const [x, y] = [(box?.x ?? 0) + 400, (box?.y ?? 0) + 100];
    const wider = (than: number) =>
      studio.page.waitForFunction(
        (px) => (document.querySelector('.moment-line')?.scrollWidth ?? 0) > px * 1.2,
        {},
        than,
      );
    const first = await zoom();
    await studio.page.mouse.move(x, y);
    await studio.page.keyboard.down('Control');
    for (let turn = 0; turn < 8; turn++) await studio.page.mouse.wheel({ deltaY: -30 });
    await studio.page.keyboard.up('Control');
    await wider(first);
    await studio.page.setViewport({ width: 1280, height: 800, hasTouch: true });
    await studio.reads('9 moments');
    const second = await zoom();
    const session = await studio.page.createCDPSession();
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', apart: number) =>
      session.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: type === 'touchEnd' ? [] : [-apart, apart].map((by, id) => ({ x: x + by, y, id })),
      });
    await touch('touchStart', 40);
    for (let apart = 50; apart <= 160; apart += 10) await touch('touchMove', apart);
    await touch('touchEnd', 0);
    await wider(second);
    await studio.page.setViewport({ width: 1280, height: 800 });
    await studio.page.reload();
    await studio.reads('9 moments');
  });

  test('takes a moment with nothing but its day, dated as roughly as is known', async () => {
    await studio.press('button', 'A moment');
    await studio.reads('10 moments');
    await studio.fill(/^What it was/, 'A week on the wall');
    await studio.fill('What happened', 'It was three minutes late on Friday.');
    await studio.press('button', 'Month');
    await studio.take('Month', 'January');
    await studio.fill('Year', '2026', 'spinbutton');
    await studio.take('Phase', 'Test');
    await studio.fill(/^Time spent/, '1:30');
    await studio.page.keyboard.press('Tab');
    await studio.saved();
    await studio.page.reload();
    await studio.reads('10 moments, 18 September 2025 to January 2026');
    expect(await title()).toBe('A week on the wall');
    expect(await studio.page.$eval('[aria-label="Where Test begins"]', (edge) => edge.ariaValueText)).toBe(
      'before A week on the wall',
    );
  });

  test('moves the edge of a phase by keys, and one undo moves it back', async () => {
    const edge = '[aria-label="Where Finished begins"]';
    const before = await studio.page.$eval(edge, (one) => one.ariaValueText);
    expect(before).toBe('before The brass hand');
    await studio.page.focus(edge);
    await studio.page.keyboard.press('ArrowLeft');
    await studio.page.waitForFunction(
      (at) => document.querySelector(at)?.ariaValueText === 'before Oil',
      {},
      edge,
    );
    await studio.saved();
    await studio.press('button', /^Undo/);
    await studio.page.waitForFunction(
      (at) => document.querySelector(at)?.ariaValueText === 'before The brass hand',
      {},
      edge,
    );
  });

  test('proposes what was taken together; all at once is one step, and what was refused stays away', async () => {
    await studio.reads('Nothing new');
    await studio.page.goto(`${demo.rooms}/projects`);
    await studio.reads('Fold-flat bee hotel');
    const hotel = await studio.page.$$eval(
      'h2 a',
      (links) =>
        links.find(({ textContent }) => textContent === 'Fold-flat bee hotel')?.getAttribute('href') ?? '',
    );
    await studio.page.goto(`${demo.server.origin}${hotel}/moments`);
    await studio.reads('7 moments proposed: 7 new, 0 that join one you have.');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Take all 7');
    await studio.reads('7 moments, 15 January 2026 to 23 April 2026');
    await studio.reads('Nothing new');
    await studio.saved();
    await studio.press('button', /^Undo/);
    await studio.reads('7 moments proposed');
    const pressFirst = (name: string) =>
      studio.page.evaluate(
        (text) =>
          [...document.querySelectorAll('button')].find(({ textContent }) => textContent === text)?.click(),
        name,
      );
    await pressFirst('With the one before');
    await studio.reads('6 moments proposed');
    await pressFirst('Split');
    await studio.reads('7 moments proposed');
    await pressFirst('Not this one');
    await studio.reads('6 moments proposed');
    await studio.saved();
    await studio.page.reload();
    await studio.reads('6 moments proposed');
  });

  test('a moment is found by its words from anywhere', async () => {
    await studio.page.goto(`${demo.rooms}/look`);
    await studio.reads('Overprint');
    await studio.page.keyboard.down('Control');
    await studio.page.keyboard.press('k');
    await studio.page.keyboard.up('Control');
    await studio.page.waitForSelector('[cmdk-input]');
    await studio.page.keyboard.type('three minutes late');
    await studio.page.waitForFunction(() =>
      document.querySelector('[data-selected="true"]')?.textContent?.startsWith('A week on the wall'),
    );
    await studio.page.keyboard.press('Enter');
    await studio.reads('10 moments');
    expect(await title()).toBe('A week on the wall');
  });
});

describe('readers', () => {
  test('get moments by their heights, on every page that draws them, and nothing tells of the others', async () => {
    await demo.publish();
    for (const path of [`${site}/tide-clock/`, '/wren-makes/workshop-notes/', `${site}/`]) {
      const html = await read(path);
      expect(html).toContain('The second set of gears');
      expect(html).toContain('A week on the wall');
      for (const secret of ['The sums, done wrong', 'upside down', '2025-10-30', '30 October', '30 Oct'])
        expect([path, html.includes(secret) && secret]).toEqual([path, false]);
      // What stands before and after it follow each other: 23 October and 6 November.
      expect(html).toContain('14 days later');
      expect(await htmlFaults(html)).toEqual([]);
    }
  });

  test('who is not told with whom or how long has neither in the page', async () => {
    expect(await read(`${site}/tide-clock/`)).not.toContain('3 h 30 min');
    expect(await read(`${site}/tide-clock/`)).toContain('>Idris<');
    expect(await read('/wren-makes/workshop-notes/')).not.toContain('>Idris<');
    expect(await read(`${site}/float-lamp/`)).toContain('9 h 30 min');
  });

  test('are told what was decided and what it led to, each with its place', async () => {
    const html = await read('/wren-makes/workshop-notes/');
    expect(html).toContain('What was decided');
    expect(html).toContain('A belt and pulley: quieter, but it slips in the damp.');
    expect(html).toMatch(/<td>By the back door<\/td>/);
    expect(await htmlFaults(html)).toEqual([]);
  });

  test('can read, hear and print it: a list with a place for each, and axe is content', async () => {
    for (const path of [`${site}/tide-clock/`, '/wren-makes/workshop-notes/', `${site}/float-lamp/`]) {
      const reader = await demo.asStranger(path);
      expect(await reader.axe()).toEqual([]);
      const places = await reader.page.$$eval('.process [id^="at-"]', (all) => all.map(({ id }) => id));
      expect(new Set(places).size).toBe(places.length);
      const targets = await reader.page.$$eval('.axis a', (links) =>
        links.map((link) => link.getAttribute('href')?.slice(1) ?? ''),
      );
      for (const target of targets) expect(places).toContain(target);
      await reader.page.setViewport({ width: 390, height: 844 });
      expect(await reader.page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
      expect(await reader.axe()).toEqual([]);
      await reader.page.close();
    }
  });

  test('walk along the line with a slider where there is a script, and each moment shows itself', async () => {
    const reader = await demo.asStranger(`${site}/tide-clock/`);
    const slider = await reader.named('slider', 'Walk along the line');
    await slider.focus();
    await reader.page.keyboard.press('End');
    const step = await reader.page.$eval('.axis > .step', ({ textContent }) => textContent);
    const last = await reader.page.$$eval(
      '.process .moment h4, .process .moment h3',
      (all) => all.at(-1)?.textContent,
    );
    expect(step).toContain(last);
    expect(await reader.page.$eval('.axis > .step a', (link) => link.getAttribute('href'))).toMatch(/^#at-/);
    expect(await reader.axe()).toEqual([]);
    await reader.page.setViewport({ width: 390, height: 844 });
    expect(await reader.page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
    await reader.page.emulateMediaType('print');
    expect(await reader.page.$eval('.axis > input', (input) => getComputedStyle(input).display)).toBe('none');
    await reader.page.close();
  });

  test('on the next request have nothing of a moment that was lowered, wherever it is drawn', async () => {
    await studio.page.goto(`${demo.server.origin}${clock}/moments`);
    await studio.reads('10 moments');
    await studio.page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('.moment-knot')]
        .find(({ textContent }) => textContent?.includes('A week on the wall'))
        ?.click(),
    );
    await studio.press('button', /^Height of the moment/);
    await studio.press('menuitemradio', /^Private/);
    await studio.saved();
    for (const path of [`${site}/tide-clock/`, '/wren-makes/workshop-notes/', `${site}/`])
      expect([path, (await read(path)).includes('A week on the wall')]).toEqual([path, false]);
  });
});

describe('proof', () => {
  test('a moment proves a skill, and readers are led to its place', async () => {
    await studio.page.goto(`${demo.server.origin}${clock}/moments`);
    await studio.reads('10 moments');
    await studio.page.focus('.moment-knot');
    await studio.page.keyboard.press('Home');
    expect(await title()).toBe('One hand');
    const id = await studio.page.$eval('.moment-knot[aria-current]', (knot) => knot.id.replace('knot-', ''));
    await studio.page.evaluate(() => {
      const skills = [...document.querySelectorAll('summary')].find(({ textContent }) =>
        textContent?.startsWith('Shows a skill'),
      );
      skills?.parentElement?.setAttribute('open', '');
      [...(skills?.parentElement?.querySelectorAll('label') ?? [])]
        .find(({ textContent }) => textContent === 'Stitching sailcloth')
        ?.click();
    });
    await demo.publish();
    expect(await read('/wren-makes/resume/')).toContain(`for-the-harbour/tide-clock/#at-${id}`);
    expect(await read(`${site}/tide-clock/`)).toContain(`id="at-${id}"`);
  });
});
