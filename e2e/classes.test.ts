import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { type DemoStudio, openDemoStudio } from './support/demo-studio.ts';
import { Driver } from './support/studio-driver.ts';

/** Whoever teaches opens a class page; somebody else joins on a phone, hands in, and is written to. Two profiles. */
let demo: DemoStudio;
let tutor: Driver;
let maker: Driver;
let link = '';

beforeAll(async () => {
  demo = await openDemoStudio();
  tutor = demo.studio;
  const page = await (await demo.browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 390, height: 844 });
  maker = new Driver(page);
});
afterAll(() => demo.close());

const fits = (driver: Driver) =>
  driver.page.evaluate(() => document.documentElement.scrollWidth <= document.documentElement.clientWidth);

describe('a class page', () => {
  test('shows who handed in and what is complete, and each link opens what its maker shared', async () => {
    await tutor.page.goto(`${demo.server.origin}/studio/groups`);
    await tutor.reads('2 of 3 handed in, 1 complete.');
    await tutor.reads('Not joined by these names: Sefa Lind, Jory');
    expect(await tutor.axe()).toEqual([]);
    const open = await tutor.named('link', 'Open the site of Juno Pell');
    const path = await open.evaluate((one) => one.getAttribute('href'));
    const reader = await demo.asStranger(path ?? '');
    await reader.reads('A kettle with a new spout');
  });

  test('is opened for a group of one’s own, with people and a list', async () => {
    await tutor.press('button', 'New group');
    await tutor.page.waitForFunction(() => location.pathname.startsWith('/studio/groups/'));
    await tutor.page.waitForSelector('input[value="New group"]');
    await tutor.fill('Name of the group', 'Evening class');
    await tutor.fill(/^Who is in it/, 'Ode Brack; Tuesday\nPim Tall; Thursday');
    await tutor.reads('2 people');
    await tutor.press('button', 'Begin with a list');
    await tutor.reads('All saved');
    await tutor.press('button', 'Open a class page');
    await tutor.reads('Say who asks, so that those who join know whom they hand in to.');
    await tutor.fill(/^Who asks/, 'Wren');
    await tutor.fill(/^What is asked/, 'One thing you mended.');
    await tutor.press('button', 'Open a class page');
    await tutor.reads('Nobody has joined yet.');
    link = await tutor.page.$eval(
      '[aria-label="The link to join by"]',
      (field) => new URL((field as HTMLInputElement).value).pathname,
    );
    expect(link).toMatch(/^\/studio\/join\/[\w-]{22}$/);
    expect(await tutor.axe()).toEqual([]);
    // What was typed is there after a reload.
    await tutor.page.reload();
    await tutor.reads('Not joined by these names: Ode Brack, Pim Tall');
  });
});

describe('somebody who joins, on a phone', () => {
  test('makes an account at the link, is told what is asked, and joins with a site of theirs', async () => {
    await maker.page.goto(demo.server.origin + link);
    await maker.reads('You have a link to join a class.');
    await maker.fill(/^Name your work goes under/, 'Ode Brack');
    await maker.fill(/^E-mail/, 'ode@maker.example');
    await maker.fill(/^Password/, 'a kite is up in the wind');
    await maker.press('button', 'Create account');
    await maker.reads('Wren asks for a site of yours.');
    await maker.reads('One thing you mended.');
    await maker.reads('You have no site yet.');
    await maker.press('link', 'Name a site');
    await maker.fill('Name of the site', 'Ode mends');
    await maker.press('button', 'Start the site');
    await maker.reads('Wren sees your name now, and the link once you hand it in.');
    expect(await maker.axe()).toEqual([]);
    expect(await fits(maker)).toBe(true);
    await maker.press('button', 'Join with Ode mends');
    await maker.reads('A class of Wren, where you go by Ode Brack. Wren gets the link once you hand it in.');
    expect(await maker.axe()).toEqual([]);
    expect(await fits(maker)).toBe(true);
  });

  test('takes the list into Check, ticks a line, and hands in with what is ticked', async () => {
    await maker.press('button', 'Take it into Check');
    await maker.reads(/\d of \d essentials of its list are ticked in Check/);
    await maker.press('link', 'Check');
    await maker.press('checkbox', /^I read every page aloud once/);
    await maker.saved();
    await maker.page.goBack();
    await maker.press('button', 'Hand in Evening class');
    await maker.press('button', 'Hand it in anyway');
    await maker.reads('Wren has the link.');
    await maker.reads('Wren was told so.');
  });
});

describe('whoever teaches', () => {
  test('sees it on a phone as well, and that its link opens nothing yet', async () => {
    await tutor.page.setViewport({ width: 390, height: 844 });
    await tutor.page.reload();
    await tutor.reads('1 of 1 handed in, 0 complete.');
    await tutor.reads('Its link opens nothing now');
    expect(await fits(tutor)).toBe(true);
    expect(await tutor.axe()).toEqual([]);
  });

  test('asks, and writes a letter that is kept until it is given back', async () => {
    await tutor.press('button', 'More about Ode Brack');
    await tutor.press('menuitem', 'Ask for something');
    await tutor.page.waitForFunction(() => document.activeElement?.tagName === 'TEXTAREA');
    await tutor.press('button', 'Ask');
    await tutor.reads('Say what you ask for.');
    await tutor.fill(/^What you ask Ode Brack for/, 'Open it to me, please.');
    await tutor.press('button', 'Ask');
    await tutor.reads('You asked: Open it to me, please.');
    expect(await tutor.page.evaluate(() => document.activeElement?.getAttribute('aria-label'))).toBe(
      'More about Ode Brack',
    );
    await tutor.press('button', 'Write the letter to Ode Brack');
    await tutor.fill('Words to line 1', 'The third picture has none.');
    await tutor.fill('To the whole', 'I look forward to it.');
    // By keyboard: the level of the first line.
    await (
      await tutor.named('group', 'How far line 1 is')
    ).evaluate((group) => {
      const button = [...group.querySelectorAll('button')].find((one) => one.textContent === 'Nearly there');
      button?.focus();
    });
    await tutor.page.keyboard.press('Enter');
    expect(await tutor.axe()).toEqual([]);
    // The last words are in a field that is never left.
    await tutor.fill('Words to line 2', 'Better than mine.');
    await tutor.page.reload();
    await tutor.press('button', 'Write the letter to Ode Brack');
    const unsent = await tutor.named('textbox', 'Words to line 2');
    expect(await unsent.evaluate((field) => (field as HTMLTextAreaElement).value)).toBe('Better than mine.');
    const kept = await (
      await tutor.named('textbox', 'To the whole')
    ).evaluate((field) => (field as HTMLTextAreaElement).value);
    expect(kept).toBe('I look forward to it.');
    await maker.page.reload();
    await maker.reads('Open it to me, please.');
    expect(await maker.page.$eval('body', ({ innerText }) => innerText.includes('look forward'))).toBe(false);
    await tutor.press('button', 'Give it back');
    await tutor.reads('Ode Brack has your letter now.');
  });

  test('is told what is done, and ends what was shared with the class', async () => {
    await maker.page.reload();
    await maker.press('button', 'It is done');
    await maker.reads('You said that it is done.');
    await maker.page.click('summary');
    await maker.reads('nearly there');
    await maker.reads('The third picture has none.');
    await maker.reads('Better than mine.');
    expect(await maker.axe()).toEqual([]);
    await tutor.page.reload();
    await tutor.reads('You asked, and they say it is done: Open it to me, please.');
    await tutor.press('button', 'End the class page');
    await tutor.press('button', 'End it');
    await tutor.reads(/Ended \w+ \d+/);
    await maker.page.reload();
    await maker.reads(/Wren ended what you shared with this class/);
    // The letter stays its maker's.
    await maker.page.click('summary');
    await maker.reads('I look forward to it.');
    const late = await demo.browser.createBrowserContext();
    const other = new Driver(await late.newPage());
    await other.page.goto(demo.server.origin + link);
    await other.press('button', /demo maker/);
    await other.reads(/Nobody joins a class by this link/);
  });
});

test('a pass for everybody in a group is made at once', async () => {
  await tutor.page.setViewport({ width: 1280, height: 800 });
  await tutor.page.goto(`${demo.rooms}/share/passes`);
  await tutor.press('button', 'One each for a list');
  await tutor.take('Or those of a group', 'Repair circle, Tuesdays, 4 people');
  await tutor.reads('4 passes, named after them');
  await tutor.press('button', 'Make 4 passes');
  await tutor.reads('Sefa Lind');
});
