import { afterAll, beforeEach, describe, expect, test } from '@jest/globals';
import { changeHeights, createPage } from '#contract/pages.ts';
import { draftOf } from './support/change-draft.ts';
import { openDemoStudio } from './support/demo-studio.ts';
import { fits } from './support/fits.ts';

/** The room Arrange, and what readers get of it: by mouse, by keyboard and by touch. */
const { server, studio, rooms, publish, asStranger, close } = await openDemoStudio();
afterAll(close);
const { page } = studio;

/** The string as it is shown: a name a line, further in where it stands below another. */
const string = () =>
  page.$$eval('[data-page]', (rows) => {
    const left = (row: Element) => row.querySelector('.slip')?.getBoundingClientRect().left ?? 0;
    const first = Math.min(...rows.map(left));
    return rows.map(
      (row) => '. '.repeat(Math.round((left(row) - first) / 30)) + (row.getAttribute('aria-label') ?? ''),
    );
  });
const asInDemo = [
  'Front page',
  'For the harbour',
  '. Tide clock',
  '. Fold-flat bee hotel',
  '. Float lamp',
  '. Sailcloth satchel',
  'Made together',
  '. Shared tool board',
  'Workshop notes',
  '. Failures, by date',
  'Elsewhere',
  '. Tide tables, Skerrin',
  'I like things that still work when they are wet.',
  'Résumé',
];
const grip = (name: string) => `[aria-label="Move ${name}"]`;
const middle = async (selector: string) => {
  const box = await (await page.$(selector))?.boundingBox();
  if (!box) throw new Error(`${selector} is not on the screen.`);
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};
/** Undoes until the string is as it is in the demo. */
const undone = async (steps = 1) => {
  for (let step = 0; step < steps; step++) {
    await studio.saved();
    const answered = page.waitForResponse((reply) => reply.url().endsWith('/undo'));
    await studio.press('button', /^Undo/);
    await answered;
  }
  await studio.saved();
  await page.waitForFunction(
    (many) => document.querySelectorAll('[data-page]').length === many,
    {},
    asInDemo.length,
  );
  expect(await string()).toEqual(asInDemo);
};

beforeEach(async () => {
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(`${rooms}/arrange`);
  await studio.reads('Front-page wall');
});

describe('the string', () => {
  test('shows where every page stands, and is clean for axe', async () => {
    expect(await string()).toEqual(asInDemo);
    expect(await studio.axe()).toEqual([]);
  });

  test('by mouse: a page is carried under another, told what that does, and undo brings it back', async () => {
    const from = await middle(grip('Workshop notes'));
    const to = await middle('[data-page][aria-label="Tide clock"] .slip');
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + 8, from.y - 20, { steps: 4 });
    await page.mouse.move(from.x + 34, to.y - 14, { steps: 12 });
    await studio.reads('Drops under For the harbour. It stays Public.');
    await page.mouse.up();
    expect((await string()).slice(0, 5)).toEqual([
      'Front page',
      'For the harbour',
      '. Workshop notes',
      '. . Failures, by date',
      '. Tide clock',
    ]);
    await undone();
  });

  test('by mouse: Escape puts it back, wherever it is', async () => {
    const from = await middle(grip('Made together'));
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x, from.y - 150, { steps: 8 });
    await studio.reads('Carrying Made together');
    await page.keyboard.press('Escape');
    await page.mouse.up();
    expect(await string()).toEqual(asInDemo);
  });

  test('by keyboard: up, down, under and out; what may not be is not offered; focus stays on it', async () => {
    await page.focus(grip('Float lamp'));
    await page.keyboard.press('Space');
    await studio.reads('Carrying Float lamp, place 5 of 14');
    for (const key of ['ArrowUp', 'ArrowUp', 'ArrowRight'] as const) await page.keyboard.press(key);
    // Right below its group there is nothing it could go under.
    expect(
      await page.$$eval('[data-carry] button[disabled]', (all) => all.map((one) => one.textContent?.trim())),
    ).toEqual(['Under', 'Out']);
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowRight');
    await studio.reads('Drops under Tide clock.');
    await page.keyboard.press('Space');
    expect((await string()).slice(2, 5)).toEqual(['. Tide clock', '. . Float lamp', '. Fold-flat bee hotel']);
    const focused = () => page.evaluate(() => document.activeElement?.getAttribute('aria-label'));
    expect(await focused()).toBe('Move Float lamp');
    // Further down too, where the browser moves it and not what stands around it.
    await page.keyboard.press('Space');
    await page.keyboard.press('ArrowLeft');
    for (let step = 0; step < 3; step++) await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Space');
    expect(await focused()).toBe('Move Float lamp');
    await studio.saved();
    await page.keyboard.press('Space');
    await page.keyboard.press('Escape');
    expect(await focused()).toBe('Move Float lamp');
    // What is told stands above the bar of what is carried.
    await studio.press('button', 'More for For the harbour');
    await studio.press('menuitem', 'Up');
    await studio.reads('can go no further that way');
    await page.focus(grip('Float lamp'));
    await page.keyboard.press('Space');
    await page.waitForFunction(() => {
      const [told, bar] = ['.notice', '.carry-bar'].map((one) =>
        document.querySelector(one)?.getBoundingClientRect(),
      );
      return told && bar && told.height > 0 && told.bottom <= bar.top;
    });
    await page.keyboard.press('Escape');
    await undone(2);
  });

  test('a lower group says so before a page is dropped in it', async () => {
    await studio.press('button', /^Height of Made together/);
    await studio.press('menuitemradio', /^Unlisted/);
    await studio.reads('held by Made together');
    await page.focus(grip('Float lamp'));
    await page.keyboard.press('Space');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
    await studio.reads('It becomes Unlisted at once: Made together holds it there.');
    await page.keyboard.press('Escape');
    await studio.press('button', /^Height of Made together/);
    await studio.press('menuitemradio', /^Public/);
    await studio.saved();
  });

  test('by touch on a phone: a tap picks it up, and buttons carry it', async () => {
    await page.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: true });
    await page.goto(`${rooms}/arrange`);
    await studio.reads('For the harbour');
    await fits(studio);
    await page.tap(grip('Shared tool board'));
    await studio.reads('Carrying Shared tool board');
    await studio.press('button', 'Out');
    await studio.press('button', 'Drop it here');
    expect((await string()).slice(6, 8)).toEqual(['Made together', 'Shared tool board']);
    await fits(studio);
    await page.setViewport({ width: 1280, height: 800 });
    await undone();
  });
});

test('by finger: the grip is pulled, and what it is dropped under holds it', async () => {
  await page.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: true });
  await page.goto(`${rooms}/arrange`);
  await studio.reads('For the harbour');
  const from = await middle(grip('Float lamp'));
  const to = await middle('[data-page][aria-label="For the harbour"] .slip');
  await page.touchscreen.touchStart(from.x, from.y);
  for (let step = 1; step <= 12; step++)
    await page.touchscreen.touchMove(from.x + step / 6, from.y + ((to.y + 30 - from.y) * step) / 12);
  await studio.reads('Carrying Float lamp');
  await page.touchscreen.touchEnd();
  expect((await string()).slice(1, 4)).toEqual(['For the harbour', '. Float lamp', '. Tide clock']);
  await fits(studio);
  await page.setViewport({ width: 1280, height: 800 });
  await undone();
});

describe('what is tied to it', () => {
  test('a link is named and led somewhere, put away again and hung up', async () => {
    await studio.press('button', 'Add a page');
    await studio.press('menuitem', /^Outside link/);
    await studio.fill('Name', 'Harbour office');
    await studio.fill(/^Where it leads/, 'not an address at all');
    await studio.press('button', 'Tie it');
    await studio.reads(/no web address/);
    await studio.fill(/^Where it leads/, 'https://harbour.example/office');
    await studio.press('button', 'Tie it');
    await studio.reads('Harbour office is tied at the end of the string.');
    expect((await string()).at(-1)).toBe('Harbour office');
    await studio.press('button', 'More for Harbour office');
    await studio.press('menuitem', /^Put away/);
    await studio.reads('1 page put away');
    expect(await string()).toEqual(asInDemo);
    await undone(2);
  });

  test('a plain page begins with an outline, Private in a site that is live', async () => {
    await studio.press('button', 'Add a page');
    await studio.press('menuitem', /^Page/);
    const field = await page.waitForSelector('[role="dialog"] select');
    await field?.select('thanks');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Tie it');
    await studio.reads('Thanks is tied at the end of the string. It is Private until you raise it.');
    await studio.press('link', 'Thanks');
    await studio.reads('Who helped you, and with what?');
    await page.goto(`${rooms}/arrange`);
    await studio.reads('Front-page wall');
    await undone();
  });

  test('an address that is taken or none is refused in its field, and a good one is kept', async () => {
    await studio.press('button', 'More for Workshop notes');
    await studio.press('menuitem', 'Name and address');
    await studio.reads('/wren-makes/workshop-notes/');
    const slug = /^Its own part of the address/;
    await studio.fill(slug, 'tide-clock');
    await page.keyboard.press('Enter');
    await studio.reads('Another page of this site has this address.');
    await studio.fill(slug, 'No such!');
    await page.keyboard.press('Enter');
    await studio.reads('Use small letters, digits and single hyphens.');
    await studio.fill(slug, 'notes');
    await page.keyboard.press('Enter');
    await studio.reads('/wren-makes/notes/');
    await studio.press('button', 'Done');
    await undone();
  });
});

describe('what readers get', () => {
  test('the menu in each manner, with what is left out gone, current marked and clean for axe at both widths', async () => {
    await studio.press('button', 'More for Failures, by date');
    await studio.press('menuitem', /^Leave it out of the menu/);
    await studio.reads('Left out');
    const titles = [
      'Work',
      'For the harbour',
      'Tide clock',
      'Fold-flat bee hotel',
      'Float lamp',
      'Made together',
    ];
    for (const manner of ['A list at the side', 'Behind one word', 'A line on top']) {
      await studio.press('button', manner);
      await publish();
      const reader = await asStranger('/wren-makes/for-the-harbour/tide-clock/');
      const named = await reader.page.$$eval('.menu a', (all) => all.map((one) => one.textContent));
      expect(named.slice(0, 6)).toEqual(titles);
      expect(named).not.toContain('Failures, by date');
      expect(await reader.page.$eval('.menu [aria-current="page"]', (one) => one.textContent)).toBe(
        'Tide clock',
      );
      for (const width of [1280, 390]) {
        await reader.page.setViewport({ width, height: 844 });
        await fits(reader);
        expect([manner, width, await reader.axe()]).toEqual([manner, width, []]);
        const folded = await reader.page.$eval('.fold', (one) => one.getClientRects().length > 0);
        expect([manner, width, folded]).toEqual([
          manner,
          width,
          width === 390 || manner === 'Behind one word',
        ]);
        if (!folded) continue;
        // Without any script: the browser folds it out, Escape folds it in and gives the focus back.
        await reader.page.focus('.fold');
        await reader.page.keyboard.press('Enter');
        await reader.page.waitForFunction(() => document.querySelector('.menu')?.matches(':popover-open'));
        expect(await reader.axe()).toEqual([]);
        await reader.page.keyboard.press('Escape');
        await reader.page.waitForFunction(() => !document.querySelector('.menu')?.matches(':popover-open'));
        expect(await reader.page.evaluate(() => document.activeElement?.className)).toBe('fold');
      }
      await reader.page.close();
    }
  });

  test('the order of the front page is its own, and what is taken off it stays in its group', async () => {
    await studio.press('button', 'More for Float lamp on the front page');
    await studio.press('menuitem', 'Earlier');
    await studio.press('button', 'More for Tide clock on the front page');
    await studio.press('menuitem', 'Take it off the front page');
    await page.waitForSelector('[aria-label="Taken off the front page"]');
    expect(await string()).toEqual(asInDemo);
    await publish();
    const reader = await asStranger('/wren-makes/');
    const wall = () => reader.page.$$eval('.card h2, .card h3', (all) => all.map((one) => one.textContent));
    expect(await wall()).toEqual(['Float lamp', 'Fold-flat bee hotel', 'Shared tool board']);
    await reader.page.goto(`${server.origin}/wren-makes/for-the-harbour/`);
    expect(await wall()).toEqual(['Tide clock', 'Fold-flat bee hotel', 'Float lamp']);
  });
});

test('the front page hangs in rows, one large, as a list and by groups; nothing beyond its width, clean for axe', async () => {
  for (const [name, marks] of [
    ['One large', '.one-large .card'],
    ['List', '.wall-list .card'],
    ['By groups', '.wall-group .card'],
    ['Rows', '.rows .card'],
  ] as const) {
    await studio.press('button', name);
    await publish();
    const reader = await asStranger('/wren-makes/');
    const hung = await reader.page.$$eval(marks, (all) => all.length);
    expect([name, hung]).toEqual([name, await reader.page.$$eval('.card', (all) => all.length)]);
    if (name === 'By groups')
      expect(
        await reader.page.$$eval('.wall-group > header h2', (all) => all.map((one) => one.textContent)),
      ).toEqual(['For the harbour', 'Made together']);
    for (const width of [390, 820, 1280, 1680]) {
      await reader.page.setViewport({ width, height: 844 });
      await fits(reader);
    }
    expect([name, await reader.axe()]).toEqual([name, []]);
    await reader.page.close();
  }
});

/** Makes pages by the studio's interface, as the browser that is signed in. */
async function makePages(titles: readonly string[], more: object = {}): Promise<void> {
  const site = rooms.split('/').at(-1) ?? '';
  const cookies = (await page.browserContext().cookies())
    .map(({ name, value }) => `${name}=${value}`)
    .join('; ');
  for (const title of titles) {
    const reply = await fetch(`${server.origin}${createPage.path.replace(':site', site)}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: cookies, origin: server.origin },
      body: JSON.stringify({ kind: 'plain', title, materials: [], ...more }),
    });
    if (!reply.ok) throw new Error(await reply.text());
  }
}

test('a hundred pages: the last is carried to the top by keyboard, and each step is drawn', async () => {
  await makePages(Array.from({ length: 100 }, (_, at) => `Page ${at + 1}`));
  await page.reload();
  await studio.reads('Page 100');
  await page.focus(grip('Page 100'));
  await page.keyboard.press('Space');
  for (let step = 0; step < 99; step++) await page.keyboard.press('ArrowUp');
  await studio.reads('Drops here, after Résumé');
  await page.keyboard.press('Space');
  await studio.saved();
  expect((await string()).slice(14, 16)).toEqual(['Page 100', 'Page 1']);
});

test('a menu of more than a hundred pages and of long names is folded out, scrolled and left on a phone', async () => {
  const compound = 'Donaudampfschifffahrtsgesellschaftskapitänsmützenabzeichenverleihungsordnung';
  await makePages(Array.from({ length: 20 }, (_, at) => `${compound} ${at + 1}`));
  // New pages of a live site are Private; their maker raises them, here all at once.
  const site = rooms.split('/').at(-1) ?? '';
  const raised = (await draftOf(page, site)).pages
    .filter(({ kind, height }) => kind === 'plain' && height === 'private')
    .map(({ id, height }) => ({ id, was: height }));
  const reply = await page.evaluate(
    async (path, body) => (await fetch(path, { method: 'POST', ...body })).status,
    changeHeights.path.replace(':site', site),
    {
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ pages: raised, height: 'public' }),
    },
  );
  expect(reply).toBe(200);
  await page.reload();
  await studio.reads('Front-page wall');
  await publish();
  const reader = await asStranger('/wren-makes/');
  await reader.page.setViewport({ width: 390, height: 844 });
  await fits(reader);
  await reader.page.focus('.fold');
  await reader.page.keyboard.press('Enter');
  await reader.page.waitForFunction(() => document.querySelector('.menu')?.matches(':popover-open'));
  const beyond = await reader.page.$eval('.menu', (menu) => menu.scrollWidth - menu.clientWidth);
  expect(beyond).toBe(0);
  expect(await reader.axe()).toEqual([]);
  const last = (await reader.page.$$('.menu a')).at(-2);
  await last?.evaluate((link) => link.scrollIntoView());
  expect(await last?.isIntersectingViewport()).toBe(true);
  await reader.page.keyboard.press('Escape');
  await reader.page.waitForFunction(() => !document.querySelector('.menu')?.matches(':popover-open'));
});
