import { afterAll, describe, expect, test } from '@jest/globals';
import { mkdtemp, readdir, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import sharp from 'sharp';
import { themeNames } from '../core/look/theme-names.ts';
import { changePage, draftOf } from './support/change-draft.ts';
import { openDemoStudio } from './support/demo-studio.ts';
import { fits } from './support/fits.ts';
import { readWords } from './support/read-words.ts';
import { lookOf, openDraft, wear } from './support/worn-look.ts';

/** Looks: chosen in their room, held beside each other, and measured pixel by pixel. */
const { server, studio, rooms, publish, asStranger, close } = await openDemoStudio();
afterAll(close);
const { page } = studio;
const site = rooms.split('/').at(-1) ?? '';
const pictures = join(import.meta.dirname, '../demo/pictures');

const drawnTheme = () =>
  page.$eval('.look-left .site', (element) => (element as HTMLElement).dataset.theme ?? '');
/** What a custom property of the drawn page is worth. */
const drawn = (property: string) =>
  page.$eval(
    '.look-left .site',
    (element, name) => getComputedStyle(element).getPropertyValue(name).trim(),
    property,
  );
const until = (theme: string) =>
  page.waitForFunction(
    (wanted) => document.querySelector<HTMLElement>('.look-left .site')?.dataset.theme === wanted,
    {},
    theme,
  );

describe('the room', () => {
  test('a theme is drawn at once on a page of the maker’s own, and undo brings the old one back', async () => {
    await page.goto(`${rooms}/look`);
    await studio.reads('What can be read');
    await page.waitForSelector('.look-left .site');
    expect(await drawnTheme()).toBe('broadsheet');
    await studio.press('radio', 'Signal');
    await until('signal');
    await studio.reads(/\d+ of \d+ pairs hold/);
    await studio.reads('Second colour');
    await studio.saved();
    await studio.press('button', /^Undo/);
    await until('broadsheet');
  });

  test('a colour is typed, and one that could not be read is moved and said so', async () => {
    await studio.fill('Colour', '#f4d35e');
    await studio.reads(/colours? moved to get there/);
    expect(await drawn('--accent')).not.toBe('#f4d35e');
    await studio.fill('Colour', 'yellow');
    await studio.reads('A colour is written as # and six digits, as in #3c6e71.');
    await page.keyboard.press('Tab');
    await studio.press('button', 'As the theme has it');
    await studio.reads('No colour had to be moved.');
    expect(await drawn('--accent')).toBe('#015c38');
  });

  test('colours are taken from a picture', async () => {
    await studio.press('button', 'Take from a picture');
    await page.waitForSelector('.dialog .tile, .dialog button[aria-pressed]');
    await page.$$eval('.dialog li button', ([first]) => (first as HTMLButtonElement).click());
    await page.waitForFunction(
      () =>
        getComputedStyle(document.querySelector('.look-left .site') as Element)
          .getPropertyValue('--accent')
          .trim() !== '#015c38',
    );
    await studio.press('button', /^Undo/);
    await page.waitForFunction(
      () =>
        getComputedStyle(document.querySelector('.look-left .site') as Element)
          .getPropertyValue('--accent')
          .trim() === '#015c38',
    );
  });

  test('another look hangs beside it behind a cord that keys can pull, and can be taken', async () => {
    await studio.take('Beside it', 'Overprint as it comes');
    await page.waitForSelector('.look-right [data-theme="overprint"]');
    expect(await studio.axe()).toEqual([]);
    await (await studio.named('slider', 'Where the cord hangs')).focus();
    await page.keyboard.press('Home');
    await page.waitForFunction(() =>
      document
        .querySelector<HTMLInputElement>('.look-pull')
        ?.getAttribute('aria-valuetext')
        ?.startsWith('0 per cent'),
    );
    await studio.press('button', 'Take that one');
    await until('overprint');
    await studio.saved();
    await studio.press('button', /^Undo/);
    await until('broadsheet');
    await studio.take('Beside it', 'Nothing beside it');
  });

  test('a look goes out as a file and comes in again; what is none says so', async () => {
    await studio.press('radio', 'Chalkline');
    await until('chalkline');
    const session = await page.createCDPSession();
    await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: server.folder });
    await studio.press('button', 'Save as a file');
    const name = 'wren-look.tokens.json';
    const saved = join(server.folder, name);
    for (let tries = 0; !(await readdir(server.folder)).includes(name); tries++) {
      if (tries > 100) throw new Error('No file was saved.');
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    const tokens = JSON.parse(await readFile(saved, 'utf8')) as {
      color: { light: { paper: { $type: string } } };
    };
    expect(tokens.color.light.paper.$type).toBe('color');
    await studio.press('radio', 'Lamplight');
    await until('lamplight');
    await studio.choose([saved]);
    await until('chalkline');
    const letter = join(server.folder, 'letter.json');
    await writeFile(letter, 'Dear harbour office');
    await studio.choose([letter]);
    await studio.reads('This file is not JSON, which looks are kept in. Nothing was changed.');
    expect(await drawnTheme()).toBe('chalkline');
    await studio.take('Take the look of another site', 'Wren auf Deutsch');
    await studio.reads('The look of Wren auf Deutsch is on these pages now.');
  });

  test('readers get it with the next publish, and not before', async () => {
    await studio.press('radio', 'Fairwind');
    await until('fairwind');
    await studio.saved();
    const theme = async () =>
      /data-theme="(\w+)"/.exec(await (await fetch(`${server.origin}/wren-makes/`)).text())?.[1];
    expect(await theme()).toBe('broadsheet');
    await publish();
    expect(await theme()).toBe('fairwind');
    const stranger = await asStranger('/wren-makes/for-the-harbour/tide-clock/');
    expect(await stranger.axe()).toEqual([]);
  });
});

/** What stands where is the same by day and by night: by night each page is looked at once. */
const views = {
  light: [
    [1280, 'for-the-harbour/tide-clock/'],
    [390, 'for-the-harbour/tide-clock/'],
    [1280, ''],
    [390, 'about/'],
    [1280, 'resume/'],
    [390, 'resume/'],
  ],
  dark: [
    [1280, 'for-the-harbour/tide-clock/'],
    [1280, ''],
    [390, 'about/'],
    [390, 'resume/'],
  ],
} as const;

describe.each(themeNames)('the theme %s', (theme) => {
  test.each(['light', 'dark'] as const)(
    'every word can be read, %s; axe finds nothing in the light one',
    async (scheme) => {
      await page.goto(`${rooms}/look`);
      await wear(page, site, lookOf(theme, { scheme }));
      for (const [width, path] of views[scheme]) {
        await page.setViewport({ width, height: 800 });
        await openDraft(page, server.origin, site, path);
        await fits(studio);
        const { below, lines } = await readWords(page);
        expect([width, path, below]).toEqual([width, path, []]);
        expect(lines).toBeGreaterThan(15);
        // Colours are measured above, in both schemes and also where axe cannot tell what is under a word.
        if (scheme === 'light') expect([width, path, await studio.axe()]).toEqual([width, path, []]);
      }
      await page.setViewport({ width: 1280, height: 800 });
    },
  );
});

test('where colours are forced, no theme prints over its words and pictures', async () => {
  const forcing = await page.createCDPSession();
  const force = (value: 'active' | 'none') =>
    forcing.send('Emulation.setEmulatedMedia', { features: [{ name: 'forced-colors', value }] });
  for (const theme of themeNames) {
    await page.goto(`${rooms}/look`);
    await wear(page, site, lookOf(theme));
    await openDraft(page, server.origin, site, 'for-the-harbour/tide-clock/');
    await force('active');
    const printed = await page.$$eval('.opening, .opening *', (all) =>
      all
        .map((one) => [getComputedStyle(one).mixBlendMode, getComputedStyle(one).filter].join())
        .filter((style) => style !== 'normal,none'),
    );
    expect([theme, printed]).toEqual([theme, []]);
    await force('none');
  }
});

describe('words over pictures', () => {
  test('can be read over every picture the maker has, in a look of AA and of AAA', async () => {
    await page.goto(`${rooms}/look`);
    const draft = await draftOf(page, site);
    const pictures = draft.materials.filter(({ kind }) => kind === 'picture').map(({ id }) => id);
    const clock = draft.pages.find(({ title }) => title === 'Tide clock');
    if (!clock) throw new Error('The demo has no tide clock.');
    expect(pictures.length).toBeGreaterThan(20);
    for (const [at, picture] of pictures.filter((_, index) => index % 8 === 0).entries()) {
      const comfort = at % 2 === 0 ? 'AA' : 'AAA';
      await page.goto(`${rooms}/look`);
      await wear(
        page,
        site,
        lookOf(at % 3 === 0 ? 'lamplight' : 'broadsheet', { comfort, scheme: 'light' }),
        {
          wallLabels: 'over',
        },
      );
      await changePage(page, site, clock.id, {
        opening: { layout: 'full', pictures: [picture] },
        cover: { picture, focus: null },
      });
      for (const [width, path] of [
        [1280, 'for-the-harbour/tide-clock/'],
        [390, 'for-the-harbour/tide-clock/'],
        [820, ''],
      ] as const) {
        await page.setViewport({ width, height: 700 });
        await openDraft(page, server.origin, site, path);
        const { below } = await readWords(page, comfort);
        expect([picture, comfort, width, path, below]).toEqual([picture, comfort, width, path, []]);
      }
    }
    await page.setViewport({ width: 1280, height: 800 });
  });
});

describe('long names in many scripts, and pictures that are high, dark or none', () => {
  test('fit on every page in every theme, and can be read', async () => {
    const [high, dark] = await Promise.all([
      sharp(join(pictures, 'tide-clock/08-hero-on-wall.jpg')).resize(500, 1500).jpeg().toBuffer(),
      sharp(join(pictures, 'bee-hotel/07-hero-on-fence.jpg')).linear(0.12, 0).jpeg().toBuffer(),
    ]);
    await page.goto(`${rooms}/gather`);
    const folder = await mkdtemp(join(tmpdir(), 'pictures-'));
    const files = [join(folder, 'high.jpg'), join(folder, 'dark.jpg')];
    await writeFile(files[0] ?? '', high);
    await writeFile(files[1] ?? '', dark);
    const input = await page.waitForSelector('input[type=file]');
    await (input as ElementHandle<HTMLInputElement>).uploadFile(...files);
    const names = [
      ['tide-clock', `${'Donaudampfschifffahrtsgesellschaft'.repeat(2)} am Hafen`, 'de', 'full', 'dark.jpg'],
      ['float-lamp', '浜辺のプラスチックで作った十四の輪の照明器具とその記録', 'ja', 'full', 'high.jpg'],
      ['fold-flat-bee-hotel', 'فندق نحل قابل للطي من بقايا الخشب الرقائقي', 'ar', 'words', ''],
    ] as const;
    let draft = await draftOf(page, site);
    const named = (file: string) => draft.materials.find(({ fileName }) => fileName === file);
    while (!named('high.jpg') || !named('dark.jpg')) {
      await new Promise((resolve) => setTimeout(resolve, 200));
      draft = await draftOf(page, site);
    }
    for (const [slug, title, language, layout, file] of names) {
      const shown = named(file);
      await changePage(page, site, draft.pages.find((one) => one.slug === slug)?.id ?? '', {
        ...{ title, language, cover: { picture: null, focus: null } },
        opening: { layout, pictures: shown ? [shown.id] : [] },
      });
    }
    for (const theme of themeNames) {
      await page.goto(`${rooms}/look`);
      // Names over their pictures need the most room there.
      await wear(page, site, lookOf(theme), { wallLabels: 'over' });
      for (const [width, path] of [
        [820, ''],
        [390, 'for-the-harbour/tide-clock/'],
        [820, 'for-the-harbour/float-lamp/'],
        [1280, 'for-the-harbour/fold-flat-bee-hotel/'],
      ] as const) {
        await page.setViewport({ width, height: 800 });
        await openDraft(page, server.origin, site, path);
        await fits(studio);
        const { below } = await readWords(page);
        expect([theme, width, path, below]).toEqual([theme, width, path, []]);
      }
      // However high the picture of an opening is, the words on it begin on the first screen.
      await openDraft(page, server.origin, site, 'for-the-harbour/float-lamp/');
      const top = await page.$eval('h1', (one) => one.getBoundingClientRect().top);
      expect([theme, top < 800]).toEqual([theme, true]);
    }
    await page.setViewport({ width: 1280, height: 800 });
  });
});
