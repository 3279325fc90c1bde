import { afterAll, describe, expect, test } from '@jest/globals';
import { openDemoStudio } from './support/demo-studio.ts';

/** The parts that tell how and why: tied in by typing, filled in, published, and read by a stranger. */
const { server, browser, studio, rooms, publish, asStranger, close } = await openDemoStudio();
afterAll(close);

const bows = () => studio.page.$$eval('.tail .bow-line b', (found) => found.map((bow) => bow.textContent));
/** Ties a part in by the stroke key and its name, as its maker types it. */
const tie = async (typed: string) => {
  await studio.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await studio.page.keyboard.press('/');
  await studio.page.waitForSelector('.tie-type:focus');
  await studio.page.keyboard.type(typed);
  await studio.page.keyboard.press('Enter');
};

describe('a case page', () => {
  test('a title as long as a title can be is saved, and so is what is done after it', async () => {
    await studio.page.goto(`${rooms}/projects`);
    await studio.press('button', 'New project');
    await studio.reads('Case facts');
    const title = 'A title that goes on and on '.repeat(6).slice(0, 160).trim();
    await studio.fill('Title', title);
    await studio.page.keyboard.press('Enter');
    await tie('words');
    await studio.page.keyboard.type('Typed after it.');
    await studio.saved();
    // Neither the bar nor the page grows wider than the window.
    expect(
      await studio.page.$eval('.compose-bar', (bar) => bar.scrollWidth - bar.clientWidth),
    ).toBeLessThanOrEqual(0);
    await studio.page.reload();
    await studio.reads('Typed after it.');
    expect(await studio.page.$eval('.site h1', (head) => head.textContent)).toBe(title);
    await studio.page.goto(`${rooms}/projects`);
    await studio.press('button', /^More for A title that goes on/);
    await studio.press('menuitem', /^Put away/);
    await studio.reads('1 project put away');
    await studio.saved();
  });

  test('is built from parts tied in by typing: evidence, reflection, quote, before and after, contact, credits', async () => {
    await studio.page.goto(`${rooms}/projects`);
    await studio.press('button', 'New project');
    await studio.reads('Case facts');
    await studio.fill('Title', 'Tool board');
    await studio.page.keyboard.press('Enter');

    await tie('e');
    await studio.reads('One thing that proves what you can do goes here');
    await studio.press('button', 'Choose the thing itself');
    await studio.press('button', 'Gears and motor');
    await studio.fill(/^What is it/, 'The second set of gears.');
    await studio.fill(/^Why did you choose it/, 'The first was wrong.');
    // A list that the demo's maker took in asks for so many; a wish of their own counts where it is not less.
    await studio.reads('0 of the 3 “For the portfolio review” asks for are complete in this project');
    await studio.fill(/^What does it show/, 'I check first.');
    await studio.reads('1 of the 3 “For the portfolio review” asks for are complete in this project');
    await studio.fill(/^Wished for in each project/, '3', 'spinbutton');
    await studio.reads('1 of the 3 you wish for are complete in this project');
    // The studio's own fields keep the studio's look inside a page of the site's.
    const border = await studio.page.$eval(
      '.part-panel textarea',
      (field) => getComputedStyle(field).borderTopStyle,
    );
    expect(border).toBe('solid');
    expect(await studio.axe()).toEqual([]);

    await tie('refl');
    await studio.press('button', 'What did it teach you?');
    await studio.fill('What did it teach you?', 'Wood moves.');
    await studio.fill('A question of your own', 'What would my aunt say?');
    await studio.page.keyboard.press('Enter');
    await studio.fill('What would my aunt say?', 'She would sand it.');
    expect(await studio.axe()).toEqual([]);

    await tie('quo');
    await studio.fill('What was said', 'It remembers who has the chisel.');
    await studio.fill(/^By whom/, 'The caretaker');

    await tie('before');
    await studio.press('button', 'Choose the first picture');
    await studio.press('button', 'Strap detail');
    await studio.press('button', 'Choose the second picture');
    await studio.press('button', 'Harbour at dusk');
    await studio.reads('Their shapes differ too much for a slider');
    await studio.press('button', 'Another picture in place of Harbour at dusk');
    await studio.press('button', 'Float lamp by day');
    expect(await studio.axe()).toEqual([]);

    await tie('contact');
    await studio.press('checkbox', 'A form to write to you');
    expect(await studio.axe()).toEqual([]);

    await tie('credits');
    await studio.reads('Gears and motor, with Idris Vane.');
    expect(await bows()).toEqual([
      'Opening',
      'Words',
      'Evidence',
      'Reflection',
      'Quote',
      'Before and after',
      'Contact',
      'Credits',
    ]);
    await studio.saved();
    await studio.page.reload();
    await studio.reads('She would sand it.');
    await publish();
  });

  test('readers get answers without the questions behind them, and credits that keep up with Gather', async () => {
    const reader = await asStranger('/wren-makes/tool-board/');
    await reader.reads('She would sand it.');
    const html = await reader.page.content();
    expect(html).not.toContain('aunt');
    expect(html).not.toContain('teach you');
    expect(html).toContain('Gears and motor, with Idris Vane.');
    expect(html).not.toContain('mailto:');
    expect(await reader.page.$eval('.contact form', (form) => form.getAttribute('method'))).toBe('post');
    expect(await reader.axe()).toEqual([]);

    await studio.page.goto(`${rooms}/gather`);
    await studio.press('button', /^Gears and motor: look at it/);
    await studio.fill(/^With whom/, 'Idris and Ola');
    await publish();
    const again = await asStranger('/wren-makes/tool-board/');
    await again.reads('Gears and motor, with Idris and Ola.');
  });

  test('before and after: a slider that keys move, and two pictures without a script', async () => {
    const reader = await asStranger('/wren-makes/tool-board/');
    await reader.page.focus('.compare input');
    // Captions stand beside each other and are never cut, however narrow the page.
    await reader.page.setViewport({ width: 390, height: 844 });
    const captions = await reader.page.$$eval('.compare figcaption', (both) =>
      both.map((one) => {
        const { left, right } = one.getBoundingClientRect();
        return { left, right };
      }),
    );
    expect(captions[0]?.right).toBeLessThanOrEqual(captions[1]?.left ?? 0);
    const shown = () =>
      reader.page.$eval('.compare', (place) => getComputedStyle(place).getPropertyValue('--shown'));
    expect(await shown()).toBe('50%');
    await reader.page.keyboard.press('ArrowLeft');
    expect(await shown()).toBe('49%');
    await reader.page.keyboard.press('End');
    expect(await shown()).toBe('100%');
    const context = await browser.createBrowserContext();
    const plain = await context.newPage();
    await plain.setJavaScriptEnabled(false);
    await plain.goto(`${server.origin}/wren-makes/tool-board/`);
    const lefts = await plain.$$eval('.compare img', (both) =>
      both.map((one) => one.getBoundingClientRect().left),
    );
    expect(new Set(lefts).size).toBe(2);
    await context.close();
    await reader.page.emulateMediaType('print');
    const onPaper = await reader.page.$$eval('.compare img', (both) =>
      both.map((one) => one.getBoundingClientRect().left),
    );
    expect(new Set(onPaper).size).toBe(2);
  });

  test('a part is copied, moved to another page, and brought back by one undo', async () => {
    await studio.page.goto(`${rooms}/projects`);
    await studio.press('link', 'Tool board');
    await studio.reads('Case facts');
    await studio.press('button', /^Edit Quote/);
    await studio.press('button', 'More for this quote part');
    await studio.press('menuitem', 'Copy it below');
    await studio.reads('Saved');
    expect((await bows()).filter((name) => name === 'Quote')).toHaveLength(2);
    await studio.saved();
    await studio.press('button', 'More for this quote part');
    await studio.press('menuitem', 'Sailcloth satchel');
    await studio.reads('at the end of Sailcloth satchel now');
    expect((await bows()).filter((name) => name === 'Quote')).toHaveLength(1);
    // The satchel is Private: taking the part back out of it would let readers have it with the next publish.
    await studio.press('button', /^Undo: Part moved/);
    await studio.reads('a part of “Tool board” Public again');
    await studio.press('button', 'Undo it');
    await studio.reads('Undone: Part moved');
    expect((await bows()).filter((name) => name === 'Quote')).toHaveLength(2);
  });

  test('code and a link that opens in a new window are written and published as such', async () => {
    await studio.press('button', /^Edit Words/);
    await studio.page.keyboard.type('Run it');
    await studio.page.keyboard.down('Shift');
    for (let n = 0; n < 2; n++) await studio.page.keyboard.press('ArrowLeft');
    await studio.page.keyboard.up('Shift');
    await studio.press('button', 'Link');
    await studio.fill('Where it leads', 'kite.example/run');
    await studio.press('checkbox', /^Opens in a new window/);
    await studio.press('button', 'Set the link');
    await studio.page.waitForSelector('.words-editor:focus');
    // The caret stands behind the link, and what is written on is no part of it.
    await studio.page.keyboard.type('.');
    await studio.page.keyboard.press('Enter');
    await (await studio.page.$('[aria-label="Kind of paragraph"]'))?.select('code');
    await studio.page.focus('.words-editor');
    await studio.page.keyboard.type('tide --hours 12.4');
    await publish();
    const reader = await asStranger('/wren-makes/tool-board/');
    await reader.reads('it (opens in a new window)');
    const link = await reader.page.$eval('.prose a', (one) => [
      one.getAttribute('target'),
      one.getAttribute('rel'),
    ]);
    expect(link).toEqual(['_blank', 'noopener']);
    expect(await reader.page.$eval('.prose pre code', (code) => code.textContent)).toBe('tide --hours 12.4');
    expect(await reader.axe()).toEqual([]);
  });
});
