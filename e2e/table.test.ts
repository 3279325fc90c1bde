import { afterAll, expect, test } from '@jest/globals';
import { openDemoStudio } from './support/demo-studio.ts';

/** A table in the studio and for readers: pasted from a spreadsheet, summed, a column kept to oneself. */
const { studio, publish, asStranger, close } = await openDemoStudio();
afterAll(close);

const columnsOf = (driver: typeof studio) =>
  driver.page.$$eval('.rows-and-columns thead th', (heads) => heads.map(({ textContent }) => textContent));

test('cells are pasted, numbers added up, a row moved by keys, and a Private column stays with its maker', async () => {
  const { page } = studio;
  await studio.press('link', /^Shared tool board/);
  await studio.press('button', 'Add something at the end');
  await studio.press('button', 'Table');
  await studio.press('textbox', 'Column 1, row 1');
  await studio.paste('', 'What\tHours\tCost\nFrame\t6,5\t"€ 12,00"\nPaint\t2\t€ 9,50\n');
  await studio.reads('Add a row');
  await page.waitForFunction(() => document.querySelectorAll('.part-panel table tbody tr').length === 2);
  expect(
    await page.$$eval('.part-panel table thead input', (inputs) => inputs.map(({ value }) => value)),
  ).toEqual(['What', 'Hours', 'Cost']);
  await studio.press('button', 'Add up Hours');
  await studio.reads('Together 8,5');
  await studio.press('button', 'Add up Cost');
  await studio.reads(/Together €.21,50/);
  await studio.fill('Hours, row 2', 'two');
  await studio.reads('Not added up: a cell holds something that is no number');
  await studio.fill('Hours, row 2', '2');

  // Enter goes down and makes a row where there is none; Alt and an arrow moves it.
  await studio.press('textbox', 'What, row 2');
  await page.keyboard.press('Enter');
  await page.waitForSelector('[data-cell="2 0"]:focus');
  await page.keyboard.type('Hooks');
  await page.keyboard.down('Alt');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.up('Alt');
  await page.waitForSelector('[data-cell="1 0"]:focus');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('[data-cell="1 0"]')?.value === 'Hooks',
  );
  await studio.press('button', /^Height of Cost/);
  await studio.press('menuitemradio', /^Private/);
  expect(await studio.axe()).toEqual([]);
  await publish();

  const reader = await asStranger('/wren-makes/made-together/shared-tool-board/');
  await reader.reads('Hooks');
  expect(await columnsOf(reader)).toEqual(['What', 'Hours']);
  expect(await reader.page.content()).not.toMatch(/12,00|Cost/);
  expect(
    await reader.page.$$eval('.rows-and-columns tbody tr', (rows) =>
      rows.map((row) => [...row.children].map(({ textContent }) => textContent)),
    ),
  ).toEqual([
    ['Frame', '6,5'],
    ['Hooks', ''],
    ['Paint', '2'],
  ]);
  await reader.reads('8,5');
  expect(await reader.axe()).toEqual([]);
  await reader.page.setViewport({ width: 390, height: 844 });
  expect(
    await reader.page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    ),
  ).toBe(0);

  // What was raised by mistake is taken back in one step.
  await studio.press('button', /^Height of Cost/);
  await studio.press('menuitemradio', /^Public/);
  await studio.press('button', /^Undo/);
  await page.waitForFunction(() =>
    /Private/.test(document.querySelectorAll('.part-panel table th')[2]?.textContent ?? ''),
  );
});
