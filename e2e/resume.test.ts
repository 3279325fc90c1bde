import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { createRequire } from 'node:module';
import type { ElementHandle } from 'puppeteer-core';
import { type DemoStudio, openDemoStudio } from './support/demo-studio.ts';
import type { Driver } from './support/studio-driver.ts';

/** Typed once, in a version, on one page, as a PDF, for a reader. */
const run = promisify(execFile);
let demo: DemoStudio;
let studio: Driver;
beforeAll(async () => {
  demo = await openDemoStudio();
  studio = demo.studio;
  await studio.page.goto(`${demo.rooms}/about/resume`);
  await studio.reads('mm to spare');
});
afterAll(() => demo.close());

/** What a reader's file says. */
async function fileOf(path: string): Promise<{ text: string; pages: number }> {
  const reply = await fetch(demo.server.origin + path);
  const at = join(await mkdtemp(join(tmpdir(), 'kite-wall-resume-')), 'resume.pdf');
  await writeFile(at, Buffer.from(await reply.arrayBuffer()));
  const { stdout: text } = await run('pdftotext', [at, '-']);
  const { stdout: info } = await run('pdfinfo', [at]);
  return { text: text.replace(/\s+/g, ' '), pages: Number(/Pages: +(\d+)/.exec(info)?.[1]) };
}

describe('the résumé desk', () => {
  test('is clean for axe, at 1280 and on a phone, and shows the page of the file', async () => {
    expect(await studio.axe()).toEqual([]);
    const { page } = studio;
    await page.waitForFunction(
      () => document.querySelector<HTMLImageElement>('.resume-paper img')?.naturalWidth ?? 0 > 500,
    );
    await page.setViewport({ width: 390, height: 844 });
    expect(await page.$eval('main', (main) => main.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await studio.axe()).toEqual([]);
    await page.setViewport({ width: 1280, height: 800 });
  });

  test('a version with a link of its own is taken out with it, and without it again', async () => {
    const { page } = studio;
    const says = /^This PDF says at its foot/;
    // Of the file as its maker gets it, in this browser.
    const foot = async () => {
      const path = await page.$eval('.resume-paper a[download]', (link) => link.getAttribute('href') ?? '');
      const bytes = await page.evaluate(
        async (at) => [...new Uint8Array(await (await fetch(at)).arrayBuffer())],
        path,
      );
      const at = join(await mkdtemp(join(tmpdir(), 'kite-wall-resume-')), 'taken.pdf');
      await writeFile(at, Buffer.from(bytes));
      return (await run('pdftotext', [at, '-'])).stdout.includes('/l/');
    };
    await studio.press('button', 'For the boatyard');
    await studio.reads('This PDF says at its foot');
    expect(await foot()).toBe(false);
    await studio.press('checkbox', says);
    await page.waitForSelector('.resume-paper a[href$="foot=link"]');
    expect(await foot()).toBe(true);
    expect(await studio.axe()).toEqual([]);
    // A Public one says its address by itself.
    await studio.press('button', 'For anyone');
    await page.waitForSelector('.resume-paper a[href$="foot=none"]');
    expect(await page.$eval('.resume-paper', (paper) => paper.textContent)).not.toMatch('This PDF says');
    await studio.press('button', 'For the boatyard');
    await studio.press('checkbox', says);
    await page.waitForSelector('.resume-paper a[href$="foot=none"]');
  });

  test('an entry is typed once, with a line, a date and a proof, and stands in the version on show', async () => {
    await studio.press('button', 'For anyone');
    await studio.take('Add an entry', 'Awards');
    await studio.fill(/^What/, 'Second prize, harbour fair');
    await studio.fill(/^From/, 'June 2026');
    await studio.page.keyboard.press('Tab');
    await studio.press('button', 'A line');
    await studio.fill('Words of line 1', 'For the hotel that folds flat.');
    await studio.take('What proves line 1', 'Fold-flat bee hotel');
    await studio.saved();
    expect(await studio.axe()).toEqual([]);
    await studio.reads('mm to spare');
    await demo.publish();
    const { text, pages } = await fileOf('/wren-makes/resume/resume.pdf');
    expect(pages).toBe(1);
    expect(text).toContain('Second prize, harbour fair');
    expect(text).toContain('For the hotel that folds flat. (Fold-flat bee hotel)');
    const reader = await demo.asStranger('/wren-makes/resume/');
    await reader.reads('Second prize, harbour fair');
    await reader.reads('June 2026');
    expect(await reader.axe()).toEqual([]);
    // The version for the boatyard has none of it, and neither has its reader.
    expect(await reader.page.content()).not.toContain('For the boatyard');
    await reader.page.setViewport({ width: 390, height: 844 });
    expect(await reader.page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);

    // On paper: all of it within the margins, and nothing that only leads on.
    const printed = join(await mkdtemp(join(tmpdir(), 'kite-wall-printed-')), 'page.pdf');
    await writeFile(printed, await reader.page.pdf({ format: 'A4' }));
    const { stdout: boxes } = await run('pdftotext', ['-bbox', printed, '-']);
    const edges = [...boxes.matchAll(/xMin="([\d.]+)"[^>]*xMax="([\d.]+)"/g)];
    // 11 mm of 72 points to an inch.
    expect(Math.min(...edges.map(([, left]) => Number(left)))).toBeGreaterThan(31);
    expect(Math.max(...edges.map(([, , right]) => Number(right)))).toBeLessThan(595.3 - 31);
    const { stdout: onPaper } = await run('pdftotext', [printed, '-']);
    expect(onPaper).toContain('Second prize, harbour fair');
    for (const way of ['As a PDF', 'Feed of new work', 'Book the workshop'])
      expect(onPaper).not.toContain(way);
  });

  test('a line says something else in one version only', async () => {
    await studio.press('button', 'For the boatyard');
    await studio.press('button', /^Repair café/);
    await studio.press('button', 'Say it otherwise in this version');
    await studio.fill('Words of line 1 in this version only', 'Mending sails and small things of wood.');
    await studio.saved();
    await studio.press('button', 'For anyone');
    await studio.press('button', 'Say it otherwise in this version');
    await studio.press('button', 'As everywhere');
    await studio.saved();
    await demo.publish();
    expect((await fileOf('/wren-makes/resume/resume.pdf')).text).toContain(
      'Stitching and small repairs in wood',
    );
  });

  test('skills stand with what shows them to the readers of a version, and a proposal is tied only by a yes', async () => {
    const { page } = studio;
    await studio.press('link', 'Skills and evidence');
    await studio.reads('3 shown, 1 thin, 1 out of reach, 2 only claimed');
    expect(await studio.axe()).toEqual([]);
    // A string for each proof, dotted where these readers cannot open it, loose where there is none.
    const kinds = () =>
      page.$$eval('.evidence-strings path', (paths) =>
        paths.map((path) => (path as SVGElement).dataset['kind']).sort(),
      );
    const proofs = (await kinds()).filter((kind) => kind !== 'loose' && kind !== 'proposed');
    expect(proofs).toEqual([
      'document',
      'low',
      'page',
      'page',
      'page',
      'page',
      'part',
      'part',
      'part',
      'part',
    ]);
    // Down goes from skill to skill.
    await studio.press('button', 'Varnishing');
    await page.keyboard.press('ArrowDown');
    await studio.reads('Your words on');
    expect(await page.$eval('[aria-pressed=true]', ({ textContent }) => textContent)).toBe(
      'Drilling clean holes',
    );
    expect(await kinds()).toContain('proposed');
    await studio.press('button', 'Not this one');
    await studio.press('button', 'Tie it');
    await studio.reads('3 shown, 2 thin, 1 out of reach, 1 only claimed');
    expect(await kinds()).not.toContain('proposed');
    await studio.saved();
    // Its readers go from the skill to what shows it.
    await demo.publish();
    const reader = await demo.asStranger('/wren-makes/resume/');
    await reader.reads('Drilling clean holes');
    const way = await reader.page.evaluate(
      () =>
        [...document.querySelectorAll('.entry')]
          .find((entry) => entry.textContent.includes('Drilling clean holes'))
          ?.querySelector('.proofs a')
          ?.getAttribute('href') ?? '',
    );
    await reader.page.goto(new URL(way, reader.page.url()).href);
    await reader.reads('Fold-flat bee hotel');
    expect(await reader.page.content()).not.toContain('Sailcloth satchel');

    await studio.press('button', /^Undo/);
    await studio.reads('2 only claimed');
    // What was refused is not proposed again.
    expect(await page.$$eval('.proposal', (all) => all.length)).toBe(1);
    await page.setViewport({ width: 390, height: 844 });
    expect(await page.$eval('main', (main) => main.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await studio.axe()).toEqual([]);
    await page.setViewport({ width: 1280, height: 800 });
    await studio.press('link', 'Résumé desk');
    await studio.reads('mm to spare');
    await studio.press('link', 'About you');
    await studio.reads('In your words');
    await studio.press('link', 'Résumé desk');
    await studio.reads('mm to spare');
    await studio.press('button', 'For anyone');
  });

  test('what does not fit is told with why, left out only with a yes, and undone', async () => {
    await studio.press('button', /^Saturday help/);
    for (let at = 4; at <= 14; at++) {
      await studio.press('button', 'A line');
      await studio.fill(`Words of line ${at}`, 'C');
      // As it comes from a clipboard: letter by letter it takes minutes.
      await studio.page.keyboard.sendCharacter(
        `arried crate number ${at} up from the slip, dried it, mended what was broken on it, wrote down what was in it and told those who came for it later in the same day where it stood. Then the slip was swept, the ropes were coiled and hung, and the list was copied for the winter.`,
      );
    }
    await studio.saved();
    await studio.reads('2 pages, and one is wanted');
    await studio.reads('Spacing has given all it may.');
    await studio.reads('Nothing proves it');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', /^Leave all \d+ out/);
    await studio.reads('Fits one A4');
    // The lines are there still.
    await studio.reads('Line 14');
    await studio.saved();
    await demo.publish();
    expect((await fileOf('/wren-makes/resume/resume.pdf')).pages).toBe(1);
    await studio.press('button', /^Undo/);
    await studio.reads('2 pages, and one is wanted');
  });
});

test('a site without a résumé begins one with its projects', async () => {
  const { page } = studio;
  await page.goto(`${demo.server.origin}/studio/new-site`);
  await studio.fill('Name of the site', 'Ash');
  await studio.press('button', /^Start|^Make|^Open/);
  await studio.reads('Projects');
  await page.goto(page.url().replace(/\/projects.*/, '/about/resume'));
  await studio.press('button', 'Start the résumé');
  await studio.reads('Nothing is ticked yet.');
  await studio.take('Add an entry', 'Work');
  await studio.fill(/^What/, 'Saturday help');
  await studio.reads('Fits one A4');
  expect(await studio.axe()).toEqual([]);

  // A résumé from elsewhere, and files that are none.
  await studio.press('button', 'This version');
  const folder = await mkdtemp(join(tmpdir(), 'kite-wall-resume-'));
  await writeFile(join(folder, 'notes.json'), 'no JSON at all');
  await writeFile(join(folder, 'other.json'), '{"work": "much"}');
  const take = async (path: string) => {
    const input = await page.$('input[type=file][accept*=json]');
    await (input as ElementHandle<HTMLInputElement> | null)?.uploadFile(path);
  };
  await take(join(folder, 'notes.json'));
  await studio.reads('notes.json is no JSON');
  await take(join(folder, 'other.json'));
  await studio.reads('This is no résumé in JSON Resume: work is not as it should be.');
  await take(createRequire(import.meta.url).resolve('@jsonresume/schema/sample.resume.json'));
  await studio.reads(/\d+ entries taken in from sample.resume.json/);
  await studio.reads('CEO');
  await studio.saved();
  await studio.reads('Saturday help');
  await studio.press('button', /^Undo/);
  await studio.reads('Fits one A4');

  // An old one, as a file and as words: guesses beside their lines, of which what is ticked is taken.
  const old = join(folder, 'old.docx');
  const written =
    '# Ash Weaver\n\n## Experience\n\n### Deckhand, the ferry\n\nMay 2024 – Sep 2024\n\n- Tied six ferries a day.\n\n## Skills\n\n- Knots\n- Rowing\n';
  const pandoc = run('pandoc', ['-f', 'markdown', '-o', old]);
  pandoc.child.stdin?.end(written);
  await pandoc;
  await take(old);
  await studio.reads('What was found in old.docx');
  await studio.reads('May 2024 – Sep 2024');
  expect(await studio.axe()).toEqual([]);
  await studio.press('checkbox', /^Rowing/);
  await studio.press('button', 'Take in 2 entries');
  await studio.reads('Deckhand');
  await studio.reads('Knots');
  await studio.saved();
  // What brought nothing is still there to be mended.
  await studio.press('button', 'Paste one instead');
  await studio.fill(/^Its words/, 'Words without any heading', 'textbox');
  await studio.press('button', 'Look for entries');
  await studio.reads('No headings of a résumé were found in it');
  await studio.press('button', 'Close');
  await studio.press('button', 'Paste one instead');
  expect(await page.$eval('[role=dialog] textarea', (field) => (field as HTMLTextAreaElement).value)).toBe(
    'Words without any heading',
  );
  await studio.fill(/^Its words/, 'Education\n\nProduct making, Harbour Workshop (since 2025)', 'textbox');
  await studio.press('button', 'Look for entries');
  await studio.reads('What was found in what you pasted');
  await page.setViewport({ width: 390, height: 844 });
  expect(await studio.axe()).toEqual([]);
  await page.setViewport({ width: 1280, height: 800 });
  await studio.press('button', 'Take in one entry');
  await studio.reads('Product making');
  await studio.saved();
  const desk = await page.$eval('main', ({ textContent }) => textContent);
  expect(desk).toContain('Deckhand');
  expect(desk).not.toContain('Rowing');
});
