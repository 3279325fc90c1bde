import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import sharp from 'sharp';
import { themeNames } from '../core/look/theme-names.ts';
import { launchBrowser } from './support/browser.ts';
import { BuiltServer } from './support/demo-server.ts';
import { demoPictures, Driver } from './support/studio-driver.ts';
import { lookOf, openDraft, wear } from './support/worn-look.ts';

/** `npm run screenshots`: one current picture of each main view, from demo data. */
const out = join(import.meta.dirname, '../docs/screenshots');
await mkdir(out, { recursive: true });
const server = await BuiltServer.start('demo');
const browser = await launchBrowser();
const page = await browser.newPage();
const driver = new Driver(page);
const settle = (ms = 700) => new Promise((resolve) => setTimeout(resolve, ms));
/** Waits until every picture that is in sight is there, and every type that is wanted, in frames too. */
const pictured = (on: Page) =>
  Promise.all(
    on
      .frames()
      .map((frame) =>
        frame.waitForFunction(
          () =>
            document.fonts.status === 'loaded' &&
            [...document.images].every(
              (one) => one.complete || one.getBoundingClientRect().top > innerHeight,
            ),
        ),
      ),
  );
const shot = async (name: string, on: Page = page) => {
  await settle();
  await pictured(on);
  await on.screenshot({ path: join(out, `${name}.png`) });
  console.log(`docs/screenshots/${name}.png`);
};
const desktop = () => page.setViewport({ width: 1280, height: 800 });
const phone = () => page.setViewport({ width: 390, height: 844 });

await page.goto(`${server.origin}/`);
await driver.reads('Create an account');
await driver.press('button', /demo maker/);
await driver.reads('Fold-flat bee hotel');
const rooms = page.url().replace(/\/projects.*/, '');
await shot('projects');
await driver.press('link', 'Tide clock');
await driver.reads('Case facts');
await driver.press('button', /^Edit Words, part 1/);
await shot('compose');
await page.goto(`${page.url()}/moments`);
await driver.reads('9 moments');
await page.evaluate(() =>
  [...document.querySelectorAll<HTMLElement>('.moment-knot')]
    .find(({ textContent }) => textContent?.includes('The second set of gears'))
    ?.click(),
);
await settle(1500);
await shot('moments');
await page.goto(page.url().replace(/\/moments.*/, ''));
await driver.reads('Case facts');
await page.goto(`${server.origin}/wren-makes/resume/`, { waitUntil: 'networkidle0' });
await shot('site-resume');
await phone();
await page.goto(`${server.origin}/studio/capture/`);
await driver.reads('Everything has arrived.');
await settle();
// As it is with no server to send to.
await server.kill();
const camera = await page.waitForSelector('input[capture]');
const photo = join(demoPictures, 'tide-clock/06-bench-shot-rotated.jpg');
await (camera as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(photo);
await driver.fill('Words', 'The bearing runs dry.');
await driver.press('button', 'Keep these words');
await driver.reads('2 things to send');
await shot('capture');
// What was kept for the picture is no part of the others.
await page.evaluate(() => indexedDB.deleteDatabase('kite-wall-capture'));
await page.goto('about:blank');
await server.run();
await desktop();
await page.goto(`${server.origin}/studio/groups`);
await driver.reads('2 of 3 handed in, 1 complete.');
await shot('groups');
await page.goto(`${rooms}/about`, { waitUntil: 'networkidle0' });
await driver.reads('How high each thing flies');
await shot('about');
await page.goto(`${rooms}/gather`, { waitUntil: 'networkidle0' });
await driver.press('button', /^Dial and hand, from my phone/);
await shot('gather');
await page.goto(`${rooms}/projects`);
await driver.press('link', 'Tide clock');
await driver.reads('Case facts');
await driver.press('button', /^Edit Gallery/);
await driver.press('link', 'Choose on a contact sheet');
await driver.reads('3 look alike');
await driver.press('button', 'Use the proposed 6');
await shot('contact-sheet');
await page.goto(`${rooms}/share`, { waitUntil: 'networkidle0' });
await driver.press('button', 'Test now');
await driver.reads('The address opens');
await shot('share');
await page.goto(`${rooms}/share/passes`, { waitUntil: 'networkidle0' });
await driver.reads('Boatyard');
await shot('passes');
await page.goto(`${rooms}/about/resume`);
await driver.reads('mm to spare');
await driver.press('button', /^Saturday help/);
// The page of the file is drawn on the server.
await page.waitForFunction(
  () => (document.querySelector<HTMLImageElement>('.resume-paper img')?.naturalWidth ?? 0) > 500,
);
await settle(300);
await shot('resume');
await driver.press('button', 'For anyone');
await page.goto(`${rooms}/feedback`, { waitUntil: 'networkidle0' });
await driver.press('button', /Marit Soll/);
// What comes first is what a maker sees first.
await page.evaluate(() => document.querySelector('h1')?.scrollIntoView({ block: 'center' }));
await shot('feedback');
await page.goto(`${rooms}/check`, { waitUntil: 'networkidle0' });
await driver.reads('It says “TODO”.');
await shot('check');
await page.goto(`${rooms}/plan`, { waitUntil: 'networkidle0' });
await driver.reads('In your calendar');
await shot('plan');
await page.goto(`${rooms}/arrange`, { waitUntil: 'networkidle0' });
// As it is while a page is carried.
await page.focus('[aria-label="Move Workshop notes"]');
await page.keyboard.press('Space');
for (let step = 0; step < 2; step++) await page.keyboard.press('ArrowUp');
await shot('arrange');
await page.keyboard.press('Escape');
await page.goto(`${server.origin}/wren-makes/`, { waitUntil: 'networkidle0' });
await shot('site-home');
await page.goto(`${rooms}/look`, { waitUntil: 'networkidle0' });
await driver.fill('Colour', '#c4602f');
await driver.take('Beside it', 'The dark one beside it');
await page.waitForSelector('.look-right .site');
await settle(1500);
await shot('look');

// One page in every theme as it comes.
const site = rooms.split('/').at(-1) ?? '';
const [across, margin] = [3, 8];
const small = Math.floor((1280 - margin * (across - 1)) / across);
const high = Math.round((small * 800) / 1280);
const prints: { input: Buffer; left: number; top: number }[] = [];
for (const [at, theme] of themeNames.entries()) {
  await page.goto(`${rooms}/share`);
  await wear(page, site, lookOf(theme));
  await openDraft(page, server.origin, site, at % 2 === 0 ? '' : 'for-the-harbour/tide-clock/');
  await settle();
  await pictured(page);
  prints.push({
    input: await sharp(await page.screenshot())
      .resize({ width: small })
      .png()
      .toBuffer(),
    left: (at % across) * (small + margin),
    top: Math.floor(at / across) * (high + margin),
  });
}
const sheet = sharp({
  create: { width: 1280, height: high * 2 + margin, channels: 3, background: '#8f836e' },
});
await sheet.composite(prints).png().toFile(join(out, 'themes.png'));
console.log('docs/screenshots/themes.png');
await browser.close();
await server.stop();
