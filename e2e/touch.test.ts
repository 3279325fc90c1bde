import { afterAll, describe, expect, test } from '@jest/globals';
import { openDemoStudio } from './support/demo-studio.ts';
import { fits as fitsWidth } from './support/fits.ts';

/** A whole case page built with a thumb on a screen of 390 px. */
const { studio, rooms, asStranger, close } = await openDemoStudio();
afterAll(close);

const tap = async (role: string, name: string | RegExp) => {
  const thing = await studio.named(role, name);
  await thing.evaluate((element) => element.scrollIntoView({ block: 'center' }));
  await thing.tap();
};
const write = async (label: string | RegExp, text: string) => {
  await tap('textbox', label);
  await studio.page.keyboard.type(text);
};
/** Nothing stands outside the screen, and nothing to tap is smaller than WCAG 2.2 asks for (2.5.8: 24 px). */
const fits = async () => {
  await fitsWidth(studio);
  expect(await studio.axe()).toEqual([]);
};

describe('by touch on a phone', () => {
  test('a project from an outline: title, words, pictures, evidence, facts, and it is published', async () => {
    await studio.page.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: true });
    await studio.page.goto(`${rooms}/projects`);
    await tap('button', 'From an outline');
    await studio.reads('Who needed it');
    await fits();
    await tap('radio', /^Work in a team/);
    await studio.reads('what exactly did you do');
    await tap('button', 'Start with this outline');
    await studio.reads('Untitled project');
    await write('Title', 'Peg rail');
    await tap('button', /^Edit Words, part 1/);
    await studio.page.waitForSelector('.words-editor:focus');
    await studio.page.keyboard.type('Five of us made it. I cut the pegs.');
    await tap('button', /^Edit Gallery/);
    await tap('button', 'Add pictures');
    await tap('button', /^Harbour at dusk/);
    await tap('button', /^Strap detail/);
    await tap('button', /^Place 2 pictures/);
    await studio.page.waitForFunction(() => document.querySelectorAll('.gallery img').length === 2);
    await fits();
    await tap('button', /^Edit Evidence, part 5/);
    await tap('button', 'Choose the thing itself');
    await tap('button', 'Gears and motor');
    await write(/^What is it/, 'The gears.');
    await fits();
    await tap('button', 'Case facts');
    await write(/^Role/, 'Pegs');
    await tap('button', 'Add somebody');
    await studio.page.keyboard.type('Ana');
    await fits();
    await tap('button', 'Case facts');
    // A part is moved with a thumb too.
    await tap('button', /^Edit Gallery/);
    await tap('button', 'Move up');
    await studio.saved();
    await studio.page.keyboard.down('Control');
    await studio.page.keyboard.press('KeyZ');
    await studio.reads('Undone');
    await studio.page.keyboard.down('Shift');
    await studio.page.keyboard.press('KeyZ');
    await studio.page.keyboard.up('Shift');
    await studio.page.keyboard.up('Control');
    await studio.reads('Done again');
    // Taken back and done again; what is told of it lies over neither of the two bars at the foot.
    await studio.page.waitForFunction(() => {
      const [told, bar] = ['.notice', '.foot-bar'].map((one) =>
        document.querySelector(one)?.getBoundingClientRect(),
      );
      return told && bar && told.height > 0 && told.bottom <= bar.top;
    });
    await tap('button', 'Publish');
    // New pages are Private in a site that readers know; this one is let go with this release.
    await tap('button', /^Publish it too: Peg rail/);
    await tap('button', /^Publish release \d+/);
    await studio.reads(/Release \d+ is live/);
  });

  test('a reader gets what was filled in, in its order, and nothing of the outline', async () => {
    const reader = await asStranger('/wren-makes/peg-rail/');
    const said = await reader.page.evaluate(() => document.body.innerText);
    expect(said).toContain('Five of us made it. I cut the pegs.');
    expect(said).toContain('Pegs');
    expect(said).toContain('The gears.');
    for (const prompt of ['what exactly did you do', 'Something only you did', 'What did others say'])
      expect(await reader.page.content()).not.toContain(prompt);
    expect((await reader.page.$$('.gallery img')).length).toBe(2);
    await reader.page.setViewport({ width: 390, height: 844 });
    expect(
      await reader.page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      ),
    ).toBe(0);
    expect(await reader.axe()).toEqual([]);
  });
});
