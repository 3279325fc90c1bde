import { afterAll, describe, expect, test } from '@jest/globals';
import { openDemoStudio } from './support/demo-studio.ts';
import { fits, keepsWithin } from './support/fits.ts';

/** The board of projects: what each still needs, where it stands, copied, put away, deleted and brought back. */
const { server, studio, rooms, close } = await openDemoStudio();
afterAll(close);

const board = async () => {
  await studio.page.goto(`${rooms}/projects`);
  await studio.reads('New project from pictures');
};
/** Titles as they hang, left to right. */
const hanging = () => studio.page.$$eval('.hang h2', (heads) => heads.map((head) => head.textContent));
const textOf = (title: string) =>
  studio.page.$$eval(
    '.hang',
    (all, wanted) =>
      all.find((one) => one.querySelector('h2')?.textContent === wanted)?.textContent ?? 'not there',
    title,
  );
const status = async (path: string) =>
  (await fetch(`${server.origin}${path}`, { redirect: 'manual' })).status;
const demoProjects = [
  'Tide clock',
  'Fold-flat bee hotel',
  'Float lamp',
  'Sailcloth satchel',
  'Shared tool board',
];

describe('the board of projects', () => {
  test('says of each where it stands and what it still needs', async () => {
    await board();
    expect(await hanging()).toEqual(demoProjects);
    expect(await textOf('Tide clock')).toMatch(/As readers see it.*Public.*Nothing missing/);
    expect(await textOf('Fold-flat bee hotel')).toMatch(/1 edit waiting/);
    expect(await textOf('Float lamp')).toMatch(/As readers see it.*Nothing missing/);
    expect(await textOf('Sailcloth satchel')).toMatch(/Draft.*Still needs a one-line summary/);
    expect(await studio.axe()).toEqual([]);
  });

  test('a copy is Private, opens at once, and changes nothing of its original', async () => {
    await studio.press('button', 'More for Tide clock');
    await studio.press('menuitem', /^Copy/);
    await studio.reads('It is Private until you raise it.');
    await studio.reads('Case facts');
    await studio.fill('Title', 'Tide clock, second try');
    await studio.saved();
    await board();
    // A copy stands in the same group, behind what is there.
    expect(await hanging()).toEqual([
      ...demoProjects.slice(0, 4),
      'Tide clock, second try',
      'Shared tool board',
    ]);
    expect(await textOf('Tide clock, second try')).toMatch(/Draft.*Private/);
    expect(await textOf('Tide clock')).toMatch(/As readers see it/);
    expect(await status('/wren-makes/for-the-harbour/tide-clock/')).toBe(200);
  });

  test('put away, a project is closed to readers at once; hung up again as it was, it waits for the next publish', async () => {
    await studio.press('button', 'More for Tide clock');
    await studio.press('menuitem', /^Put away/);
    await studio.reads('1 project put away');
    await studio.saved();
    expect(await hanging()).not.toContain('Tide clock');
    expect(await status('/wren-makes/for-the-harbour/tide-clock/')).toBe(404);
    expect(await status('/wren-makes/for-the-harbour/fold-flat-bee-hotel/')).toBe(200);
    await studio.page.reload();
    await studio.reads('1 project put away');
    await studio.page.click('details summary');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', /^Hang it up again/);
    await studio.reads('was Public before it was put away');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Hang it up, Public');
    await studio.saved();
    expect(await hanging()).toContain('Tide clock');
    expect(await textOf('Tide clock')).toMatch(/Draft.*Public/);
    expect(await status('/wren-makes/for-the-harbour/tide-clock/')).toBe(404);
  });

  test('deleted and undone, it hangs where it did; by keyboard alone', async () => {
    await board();
    const before = await hanging();
    await (await studio.named('button', 'More for Sailcloth satchel')).focus();
    await studio.page.keyboard.press('Enter');
    // The menu takes the keys once it has the focus, a moment after it is there.
    await studio.page.waitForFunction(() => document.activeElement?.closest('[role=menu]'));
    await studio.page.keyboard.press('End');
    await studio.page.waitForFunction(() => document.activeElement?.textContent?.startsWith('Delete'));
    await studio.page.keyboard.press('Enter');
    await studio.reads('Sailcloth satchel is deleted.');
    expect(await hanging()).toEqual(before.filter((title) => title !== 'Sailcloth satchel'));
    await studio.press('button', /^Undo/);
    await studio.reads('Undone');
    expect(await hanging()).toEqual(before);
  });

  test('projects hang in the order their maker gives them, by mouse, by keys and by the menu; readers get the same', async () => {
    await board();
    const [first, second, ...others] = await hanging();
    const grip = await studio.named('button', `Move ${first}`);
    const target = await studio.named('button', `Move ${second}`);
    const from = await grip.boundingBox();
    const to = await target.boundingBox();
    if (!from || !to) throw new Error('No handle is in sight.');
    const { mouse } = studio.page;
    await mouse.move(from.x + 8, from.y + 8);
    await mouse.down();
    await mouse.move(to.x + 20, to.y + 8, { steps: 12 });
    await studio.hears(`over place 2 of ${others.length + 2}.`);
    await mouse.up();
    const wait = (order: (string | null | undefined)[]) =>
      studio.page.waitForFunction(
        (wanted) =>
          [...document.querySelectorAll('.hang h2')].map((head) => head.textContent).join('|') === wanted,
        {},
        order.join('|'),
      );
    await wait([second, first, ...others]);
    await (await studio.named('button', `Move ${first}`)).focus();
    await studio.page.keyboard.press('Space');
    await studio.hears(`${first} over place 2`);
    await studio.page.keyboard.press('ArrowLeft');
    await studio.hears(`${first} over place 1`);
    await studio.page.keyboard.press('Space');
    await wait([first, second, ...others]);
    await studio.press('button', `More for ${first}`);
    await studio.press('menuitem', 'Hang it later');
    await wait([second, first, ...others]);
    await studio.saved();
    await studio.page.reload();
    await wait([second, first, ...others]);
    await studio.press('button', /^Undo: Place of/);
    await wait([first, second, ...others]);
  });

  test('they hang by year or by course, and the board stays as it was chosen', async () => {
    await (await studio.page.$('[aria-label="How the projects hang"]'))?.select('year');
    await studio.reads('2026');
    const groups = () =>
      studio.page.$$eval('.board-group', (all) =>
        all.map((group) => [
          group.querySelector('.board-head')?.textContent,
          [...group.querySelectorAll('.hang h2')].map((head) => head.textContent).sort(),
        ]),
      );
    expect(await groups()).toEqual([
      ['2026', ['Float lamp', 'Fold-flat bee hotel', 'Sailcloth satchel', 'Shared tool board']],
      ['2025', ['Tide clock', 'Tide clock, second try']],
    ]);
    expect(await studio.axe()).toEqual([]);
    await studio.page.reload();
    await studio.reads('2026');
    await (await studio.page.$('[aria-label="How the projects hang"]'))?.select('course');
    await studio.reads('Making Things Last, year one');
    expect((await groups()).map(([name]) => name)).toEqual([
      'Making Things Last, year one',
      'Waste as a Material, year two',
      'Working Together, year one',
      'Made for nobody in particular',
    ]);
    await (await studio.page.$('[aria-label="How the projects hang"]'))?.select('none');
  });

  test('an outline is shown before it is taken, asks for one thing after another, and nothing of it is published', async () => {
    await board();
    await studio.press('button', 'From an outline');
    await studio.press('radio', /^A study/);
    await studio.reads('The question, in one sentence anybody understands.');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Start with this outline');
    await studio.reads('Case facts');
    await studio.reads('The question, in one sentence anybody understands.');
    expect(await studio.page.$$eval('.tail .bow-line b', (all) => all.map((one) => one.textContent))).toEqual(
      [
        'Opening',
        'Words',
        'Words',
        'Picture',
        'Words',
        'Document',
        'Evidence',
        'Link',
        'Reflection',
        'Credits',
      ],
    );
    await studio.fill('Title', 'How long is a tide');
    await studio.saved();
    const see = await studio.page.goto(
      `${rooms.replace('/studio/', '/studio/see/')}/maker/how-long-is-a-tide/`,
    );
    const html = (await see?.text()) ?? '';
    expect(html).toContain('How long is a tide');
    expect(html).not.toMatch(/one sentence anybody|beside it|Which decision/);
  });

  test('a title of one endless word lies over nothing, in no room that names it', async () => {
    await board();
    await studio.press('link', 'Shared tool board');
    await studio.page.waitForSelector('.editable-line[aria-label=Title]');
    const endless = `${'Tideclockworkmakers'.repeat(6)}🪁`;
    await studio.fill('Title', endless);
    await studio.saved();
    for (const room of ['projects', 'arrange', 'share', 'share/who', 'gather']) {
      await studio.page.goto(`${rooms}/${room}`);
      await studio.reads('Tideclockworkmakers');
      await fits(studio);
      await keepsWithin(studio);
    }
  });

  test('on a phone nothing is cut and axe finds nothing', async () => {
    await studio.page.setViewport({ width: 390, height: 844 });
    await board();
    expect(
      await studio.page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      ),
    ).toBe(0);
    expect(await studio.axe()).toEqual([]);
  });
});
