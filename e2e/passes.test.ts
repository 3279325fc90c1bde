import { afterAll, describe, expect, test } from '@jest/globals';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Papa from 'papaparse';
import { momentsOf } from '#core/moments/moments-of.ts';
import { isShown, type Page, shownOn } from '#core/pages/page.ts';
import type { Part } from '#core/parts/parts.ts';
import { partsChange } from '#core/parts/parts-change.ts';
import { draftOf } from './support/change-draft.ts';
import { openDemoStudio } from './support/demo-studio.ts';
import { Driver } from './support/studio-driver.ts';

/** A maker gives people links: to one, to a list, with a password, for a while; and takes them back. */
const { server, browser, studio, rooms, publish, close } = await openDemoStudio();
afterAll(close);

/** A reader's own browser, with nothing in it of anybody else's. */
async function asReader(path: string): Promise<Driver> {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.goto(server.origin + path, { waitUntil: 'networkidle0' });
  return new Driver(page);
}
const linkInRoom = () =>
  studio.page.$eval(
    '[aria-label="Just made"] input',
    (field) => new URL((field as HTMLInputElement).value).pathname,
  );
const openRoom = async () => {
  await studio.page.goto(`${rooms}/share/passes`);
  await studio.reads('Boatyard');
};

describe('a pass for one', () => {
  let path = '';
  let reader: Driver;

  test('is made by its name and one press, and opens at once', async () => {
    await openRoom();
    await studio.press('button', 'Make the pass');
    await studio.reads('Name the pass, so that you know it again.');
    await studio.fill(/^Name it/, 'Juno');
    await studio.press('button', 'Make the pass');
    await studio.reads('“Juno” is made.');
    // The next form begins without what was wrong with this one.
    expect(await studio.page.$$('.field-problem')).toHaveLength(0);
    expect(await studio.axe()).toEqual([]);
    path = await linkInRoom();
    expect(path).toMatch(/^\/p\/[\w-]{22}\/$/);
    reader = await asReader(path);
    await reader.reads('Tide clock');
    expect(await reader.axe()).toEqual([]);
    // The portrait for the invited, and none of what is Private.
    await reader.page.goto(`${server.origin}${path}about/`);
    await reader.reads('Skerrin');
  });

  test('is seen as its holder will see it', async () => {
    await studio.press('button', 'See it as…');
    await studio.reads('Whoever holds a pass');
    await studio.press('menuitem', /^Juno/);
    const target = await browser.waitForTarget((one) => one.url().includes('/pass-'));
    const opened = await target.page();
    if (!opened) throw new Error('No window was opened.');
    const seen = new Driver(opened);
    await seen.reads('what whoever holds the pass “Juno” gets with your next publish');
    await seen.page.close();
    await studio.page.bringToFront();
  });

  test('is changed to one page with a password, which its reader is asked for', async () => {
    await studio.press('button', 'More about Juno');
    await studio.press('menuitem', /^Change it/);
    await studio.reads('Change “Juno”');
    await studio.press('button', 'Chosen pages');
    await studio.reads('It opens nothing yet.');
    await studio.press('button', 'Keep the change');
    await studio.reads('Tick at least one page, or open the whole site.');
    await studio.press('checkbox', 'Float lamp');
    await studio.press('switch', 'Ask for a password');
    const password = await studio.page.$eval(
      '[aria-label="The password"]',
      (field) => (field as HTMLInputElement).value,
    );
    await studio.reads('Whoever has this link and the password can read 1 page');
    await studio.press('button', 'Keep the change');
    await studio.reads('“Juno” has another password.');
    await reader.page.goto(`${server.origin}${path}`);
    await reader.reads('This link asks for a password.');
    expect(await reader.axe()).toEqual([]);
    await reader.page.type('#password', 'no such word');
    await reader.press('button', 'Open');
    await reader.reads('This is not the password.');
    expect(await reader.axe()).toEqual([]);
    await reader.page.type('#password', password);
    await reader.page.keyboard.press('Enter');
    await reader.reads('Float lamp');
    expect(new URL(reader.page.url()).pathname).toBe(path);
    expect(await reader.page.$eval('body', ({ innerText }) => innerText)).not.toContain('Tide clock');
  });

  test('is switched off, and its reader gets nothing from the next press on', async () => {
    await studio.press('switch', 'Juno is on');
    await studio.page.waitForFunction(
      () => !document.querySelector<HTMLInputElement>('[aria-label="Juno is on"]')?.checked,
    );
    await reader.page.reload();
    await reader.reads('Nothing is open here.');
    await studio.press('switch', 'Juno is on');
    await studio.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[aria-label="Juno is on"]')?.checked,
    );
    await reader.page.reload();
    await reader.reads('Float lamp');
  });

  test('is sent by mail as it was shown, to each by itself', async () => {
    await studio.press('button', /^More about Tutors/);
    await studio.press('menuitem', 'Send it by mail');
    await studio.reads('How it will read');
    await studio.reads('No address is written yet.');
    await studio.fill(/^To/, 'Ada Quill <ada@reader.example>; bo@reader.example');
    await studio.fill(/^A note/, 'The clock is on the second page.');
    await studio.reads('To 2 people, each by itself.');
    await studio.page.waitForFunction(() =>
      [...document.querySelectorAll('[role=dialog] p')].some((p) =>
        /second page\./.test(p.textContent ?? ''),
      ),
    );
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Send 2 mails');
    await studio.reads('2 mails are on their way.');
    let inbox = '';
    for (let tries = 0; tries < 100 && inbox.split('Wren sends you').length < 3; tries++) {
      await new Promise((resolve) => setTimeout(resolve, 100));
      inbox = await (await fetch(`${server.standIns}/inbox`)).text();
    }
    expect(inbox).toContain('ada@reader.example');
    expect(inbox).toContain('The clock is on the second page.');
    const link = /https?:\/\/[^\s<]+\/p\/[\w-]+\//.exec(inbox)?.[0] ?? '';
    expect((await fetch(link)).status).toBe(200);
  });

  test('is taken away, comes back switched off, and is known by another tab', async () => {
    const tab = new Driver(await browser.newPage());
    await tab.page.goto(`${rooms}/share/passes`);
    await tab.reads('Juno');
    await studio.page.bringToFront();
    await studio.press('button', 'More about Juno');
    await studio.press('menuitem', 'Take it away');
    await studio.reads('“Juno” is taken away, and its link opens nothing.');
    await reader.page.reload();
    await reader.reads('Nothing is open here.');
    // The other tab still shows it, and is told when it is pressed.
    await tab.page.bringToFront();
    await tab.press('switch', 'Juno is on');
    await tab.reads('This pass is not here any more');
    await tab.page.close();
    await studio.page.bringToFront();
    await studio.press('button', 'Bring it back, switched off');
    await studio.reads('Juno');
    await studio.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[aria-label="Juno is on"]')?.checked === false,
    );
  });
});

describe('passes for a list', () => {
  test('are made from a file, one each, and saved as a table', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'passes-'));
    const file = join(folder, 'class.csv');
    await writeFile(file, 'Name,Group\n"Lunn, P.",Harbour course\n=Ebbing,Harbour course\n');
    await studio.press('button', 'One each for a list');
    const input = await studio.page.waitForSelector('input[type="file"][accept*=".csv"]');
    await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(file);
    await studio.reads('2 passes, named after them');
    await studio.press('button', 'Make 2 passes');
    await studio.reads('2 passes are made.');
    const table = await studio.page.$eval('a[download="passes.csv"]', (link) =>
      decodeURIComponent((link as HTMLAnchorElement).href.split(',').slice(1).join(',')),
    );
    const { data } = Papa.parse<string[]>(table);
    expect(data.slice(1).map(([name, group]) => [name, group])).toEqual([
      ['Lunn, P.', 'Harbour course'],
      // No program for tables works it out.
      ["'=Ebbing", 'Harbour course'],
    ]);
    for (const [, , link = ''] of data.slice(1)) {
      const reader = await asReader(new URL(link).pathname);
      await reader.reads('Tide clock');
      await reader.page.browserContext().close();
    }
  });

  test('the room is clean for axe and fits a phone', async () => {
    await studio.page.setViewport({ width: 390, height: 844 });
    expect(await studio.page.$eval('main', (main) => main.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await studio.axe()).toEqual([]);
    await studio.page.setViewport({ width: 1280, height: 800 });
  });
});

describe('who gets what', () => {
  test('is told page by page for each kind of reader, and a sign shows it as they get it', async () => {
    await studio.page.goto(`${rooms}/share/who`);
    await studio.reads('Boatyard');
    const heads = await studio.page.$$eval('thead th', (all) => all.map(({ innerText }) => innerText));
    expect(heads.join()).toMatch(/^Page,Stranger,Link,Tutors,Boatyard,/);
    const said = await studio.page.$$eval('tbody tr', (all) =>
      all.map((row) => [...row.querySelectorAll('td [aria-label]')].slice(0, 4).map((one) => one.ariaLabel)),
    );
    expect(said).toContainEqual([
      'Stranger cannot open: Sailcloth satchel',
      'Link cannot open: Sailcloth satchel',
      'Tutors cannot open: Sailcloth satchel',
      'Boatyard cannot open: Sailcloth satchel',
    ]);
    expect(said).toContainEqual([
      'Stranger can open: Float lamp',
      'Link can open: Float lamp',
      'Tutors can open: Float lamp',
      'Boatyard cannot open: Float lamp',
    ]);
    await studio.press('button', /^Parts of I like things/);
    await studio.reads('Place');
    expect(await studio.axe()).toEqual([]);
    const href = await studio.page.$eval(
      'a[title^="Tide clock, as Boatyard"]',
      (link) => (link as HTMLAnchorElement).href,
    );
    const window = new Driver(await browser.newPage());
    await window.page.goto(href);
    await window.reads('what whoever holds the pass “Boatyard” gets');
    expect(await window.page.$eval('h1', (h1) => h1.textContent)).toBe('Tide clock');
    await window.page.close();
    await studio.page.bringToFront();
    await studio.page.setViewport({ width: 390, height: 844 });
    expect(await studio.page.$eval('main', (main) => main.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await studio.axe()).toEqual([]);
    await studio.page.setViewport({ width: 1280, height: 800 });
  });
});

describe('moments for each what is theirs', () => {
  test('a stranger, who has the link, and who holds a pass see their own', async () => {
    // Of the moments of a page one is for everybody with the link, and one for people with a pass.
    const draft = await draftOf(studio.page, rooms.split('/').at(-1) ?? '');
    const page = draft.pages.find(
      (one): one is Extract<Page, { parts: Part[] }> => isShown(one) && one.title === 'Tide clock',
    );
    if (!page) throw new Error('There is no clock.');
    // Short titles are words that stand elsewhere, too.
    const moments = momentsOf(shownOn(page).parts).filter(({ title }) => title.length > 12);
    const [linked, invited, mine] = moments.map(({ id }) => id);
    const heights = new Map([
      [linked, 'unlisted'],
      [invited, 'invited'],
      [mine, 'private'],
    ] as const);
    const titles = new Map(moments.map(({ id, title }) => [id, title]));
    const parts = page.parts.map((part): Part => {
      const height = heights.get(part.id);
      return height ? { ...part, height } : part;
    });
    await studio.page.evaluate(
      async (id, at, body) => {
        const reply = await fetch(`/api/sites/${id}/pages/${at}`, {
          method: 'PATCH',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        });
        if (!reply.ok) throw new Error(await reply.text());
      },
      draft.site.id,
      page.id,
      {
        ...{ seen: draft.revision, label: 'Heights of moments', change: {} },
        parts: partsChange(page.parts, parts),
      },
    );
    await studio.page.goto(`${rooms}/share`);
    await studio.reads('Releases');
    await publish();
    const way = 'for-the-harbour/tide-clock/';
    const { passes } = (await studio.page.evaluate(
      async (site) => (await fetch(`/api/sites/${site}/passes`)).json() as unknown,
      draft.site.id,
    )) as { passes: { label: string; link: string }[] };
    const tutors = passes.find(({ label }) => label === 'Tutors')?.link ?? '';
    const reads = async (path: string) => (await fetch(server.origin + path)).text();
    const told = async (path: string) => {
      const html = await reads(path);
      return [linked, invited, mine].map((id) => html.includes(titles.get(id ?? '') ?? 'no title'));
    };
    const link = draft.live.siteLinkPath ?? '';
    expect(await told(`/wren-makes/${way}`)).toEqual([false, false, false]);
    expect(await told(`${link}${way}`)).toEqual([true, false, false]);
    expect(await told(`${tutors}${way}`)).toEqual([true, true, false]);
  });
});
