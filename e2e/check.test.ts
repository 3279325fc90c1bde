import { afterAll, expect, test } from '@jest/globals';
import { existsSync } from 'node:fs';
import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { openDemoStudio } from './support/demo-studio.ts';
import { fits } from './support/fits.ts';

/** What the Check room notices of the demo's site, and how it is mended. */
const { server, studio, rooms, close } = await openDemoStudio();
afterAll(close);
const { page } = studio;
const onRail = () =>
  page.$eval('a[href$="/check"]', (link) => Number(/\d+/.exec(link.textContent)?.[0] ?? 0));

test('what is missing is counted on the rail, and said in Check with the way to the very part', async () => {
  await page.goto(`${rooms}/check`);
  await studio.reads('pages for readers in good order');
  await studio.reads('It says “TODO”.');
  expect(await onRail()).toBe(0);
  expect(await studio.axe()).toEqual([]);
  // Two pictures lose what was said about them, while the room is somewhere else.
  await page.goto(`${rooms}/projects`);
  await studio.press('link', 'Fold-flat bee hotel');
  await studio.press('button', /^Edit Gallery/);
  const fields = 'ol[aria-label="Pictures in the gallery"] textarea';
  await page.waitForSelector(fields);
  for (const at of [1, 3]) {
    const field = (await page.$$(fields))[at];
    await field?.evaluate((one) => one.scrollIntoView({ block: 'center' }));
    await field?.click({ count: 3 });
    await page.keyboard.press('Backspace');
  }
  await studio.saved();
  await page.waitForFunction(() => /2/.test(document.querySelector('a[href$="/check"]')?.textContent ?? ''));
  await studio.press('link', /Check/);
  await studio.reads('Needed 2');
  await studio.reads('10 of 11 pages for readers in good order');
  await studio.press('link', /^Take me there/);
  await page.waitForFunction(() => document.querySelector('.part.sel .part-panel') !== null);
  expect(page.url()).toMatch(/\/projects\/\w+\?part=\w+$/);
});

test('an alt text is written on the spot, letter by letter, and what was noticed is gone when its maker is done', async () => {
  await page.goto(`${rooms}/check`);
  await studio.reads('Needed 2');
  await studio.press('button', /^Write it here/);
  await page.waitForSelector('main textarea');
  expect(await studio.axe()).toEqual([]);
  await page.keyboard.type('Six panels of thin wood, laid out in order');
  expect(await page.$eval('main textarea', (field) => (field as HTMLTextAreaElement).value)).toBe(
    'Six panels of thin wood, laid out in order',
  );
  await studio.reads('Needed 1');
  await studio.press('button', /^Done/);
  await page.waitForSelector('main textarea', { hidden: true });
  // On to the next one.
  await page.waitForFunction(() => document.activeElement?.textContent?.startsWith('Write it here'));
  await studio.saved();
  expect(await onRail()).toBe(1);
  await studio.press('button', /^Undo/);
  await studio.reads('Needed 2');
});

test('what its maker lets stand is not told again, on the rail nor at Publish, until it is another thing', async () => {
  await page.goto(`${rooms}/check`);
  await studio.reads('Needed 2');
  await studio.press('button', /^Let it stand: .* has no alt text/);
  await studio.fill(/^Why/, 'A picture of nothing but string.');
  expect(await studio.axe()).toEqual([]);
  await page.keyboard.press('Enter');
  await studio.reads('Needed 1');
  await studio.reads('Let stand 1');
  await page.waitForFunction(() => document.activeElement?.tagName === 'SUMMARY');
  await page.keyboard.press('Enter');
  await studio.reads('A picture of nothing but string.');
  await studio.saved();
  expect(await onRail()).toBe(1);
  expect(await studio.axe()).toEqual([]);
  await studio.press('button', 'Publish');
  await studio.reads('1 picture without alt text');
  await studio.press('button', 'Close');
  await page.reload();
  await studio.reads('Let stand 1');
  await page.focus('summary');
  await page.keyboard.press('Enter');
  await studio.press('button', /^Tell me again/);
  await studio.reads('Needed 2');
  expect(await onRail()).toBe(2);
});

test('lists: a tutor’s is ticked by hand and by Check, one’s own is written, handed on and taken in again', async () => {
  await page.goto(`${rooms}/check`);
  await studio.reads('For the portfolio review');
  // Two alt texts are gone since the first test.
  await studio.reads('2 left, says Check');
  await studio.press('checkbox', 'Read on a phone, outdoors');
  await studio.saved();
  await page.reload();
  await studio.reads('1 of 1');
  await studio.press('button', 'An empty list');
  await studio.fill('What it is called', 'My own');
  await studio.press('button', 'Add a line');
  // The line that was added has the focus.
  await page.keyboard.type('Ask Ana whether she may be named');
  expect(await studio.axe()).toEqual([]);
  await studio.press('button', /^Done: My own/);
  await studio.saved();
  const folder = await mkdtemp(join(tmpdir(), 'kite-wall-list-'));
  const client = await page.createCDPSession();
  await client.send('Page.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
  await studio.press('button', 'Hand on My own');
  const file = join(folder, 'my-own.list.json');
  for (let tries = 0; tries < 200 && !existsSync(file); tries++)
    await new Promise((resolve) => setTimeout(resolve, 50));
  const text = await readFile(file, 'utf8');
  expect(JSON.parse(text)).toMatchObject({ name: 'My own', lines: [{ essential: true, rule: null }] });
  await studio.press('button', 'Delete My own');
  await studio.reads('My own is deleted.');
  const take = async (name: string, words: string) => {
    await writeFile(join(folder, name), words);
    const input = await page.$('aside input[type=file]');
    await (input as ElementHandle<HTMLInputElement> | null)?.uploadFile(join(folder, name));
  };
  await take('bad.json', '{"lines": []}');
  await studio.reads('bad.json: This is no list');
  await take('good.json', text);
  await studio.reads('My own is taken in.');
  await studio.press('checkbox', 'Ask Ana whether she may be named');
  await studio.saved();
  // What is printed is the list, and nothing else of the room.
  await page.evaluate(() => (window.print = () => {}));
  await studio.press('button', 'Print My own');
  await page.waitForSelector('.printed');
  await page.emulateMediaType('print');
  const seen = await page.evaluate(() => document.body.innerText);
  expect(seen).toContain('Ask Ana');
  expect(seen).not.toMatch(/portfolio review|Needed|Publish/);
  await page.emulateMediaType('screen');
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await page.waitForSelector('.printed', { hidden: true });
  await studio.press('button', 'Delete My own');
});

test('on a phone it fits, and what is nice to have is one press away', async () => {
  await page.setViewport({ width: 390, height: 844 });
  await page.goto(`${rooms}/check`);
  await studio.reads('Needed 2');
  await fits(studio);
  await studio.press('button', /^Nice to have/);
  await studio.reads('The project has 3 pictures.');
  await fits(studio);
  expect(await studio.axe()).toEqual([]);
});

test('links in words are tried at one press; what has moved is mended by another one, and brought back', async () => {
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(`${rooms}/projects`);
  await studio.press('link', 'Fold-flat bee hotel');
  await studio.reads('Fold-flat bee hotel');
  const [, site = '', project = ''] = /studio\/(\w+)\/projects\/(\w+)/.exec(page.url()) ?? [];
  await page.evaluate(
    async (of, id, outside) => {
      const headers = { 'content-type': 'application/json' };
      const added = await fetch(`/api/sites/${of}/links`, {
        ...{ method: 'POST', headers },
        body: JSON.stringify({ url: `${outside}/refusing` }),
      });
      const { material } = await added.json();
      const { revision, pages } = await (await fetch(`/api/sites/${of}`)).json();
      const { parts } = pages.find((one: { id: string }) => one.id === id);
      const linked = (text: string, to: string) => ({
        ...{ type: 'text', text },
        marks: [{ type: 'link', attrs: { href: outside + to } }],
      });
      const words = [
        linked('the count', '/moved'),
        { type: 'text', text: ' and ' },
        linked('a map', '/gone'),
      ];
      const text = { type: 'doc', content: [{ type: 'paragraph', content: words }] };
      const more = [
        { id: 'link-in-place', kind: 'link', material, form: 'in-place' },
        { id: 'words-with-links', kind: 'words', text },
      ];
      await fetch(`/api/sites/${of}/pages/${id}`, {
        ...{ method: 'PATCH', headers },
        body: JSON.stringify({ seen: revision, label: 'Links', change: { parts: [...parts, ...more] } }),
      });
    },
    site,
    project,
    server.standIns,
  );
  await page.goto(`${rooms}/check`);
  await studio.reads('to elsewhere were not tried yet');
  await studio.reads('It says “TODO”.');
  const before = await page.$eval('main', (main) => Number(/Needed (\d+)/.exec(main.textContent ?? '')?.[1]));
  expect(await studio.axe()).toEqual([]);
  await studio.press('button', 'Try them');
  await studio.reads('The link “a map” leads to a page that is not there any more.');
  await studio.reads(`Needed ${before + 1}`);
  // The rail says as many: what a page that is Private wants is counted in neither.
  expect(await onRail()).toBe(before + 1);
  await studio.press('button', /^Try it again/);
  await studio.reads('It was tried again, and does not open yet.');
  await studio.press('button', /^Nice to have/);
  const moved = 'What “the count” leads to has moved to';
  await studio.reads(moved);
  expect(await studio.axe()).toEqual([]);
  const refuses = 'does not let itself be shown inside your page';
  await studio.reads(refuses);
  await studio.press('button', /^Show a card/);
  await page.waitForFunction((said) => !document.body.innerText.includes(said), {}, refuses);
  await studio.press('button', /^Link to where it is/);
  await page.waitForFunction((said) => !document.body.innerText.includes(said), {}, moved);
  await studio.saved();
  const leads = () =>
    page.evaluate(
      async (of, id) => {
        const { pages } = await (await fetch(`/api/sites/${of}`)).json();
        return JSON.stringify(pages.find((one: { id: string }) => one.id === id).parts.at(-1));
      },
      site,
      project,
    );
  expect(await leads()).toContain(`${server.standIns}/open`);
  await studio.press('button', 'Undo');
  await studio.reads(moved);
  expect(await leads()).toContain(`${server.standIns}/moved`);
});
