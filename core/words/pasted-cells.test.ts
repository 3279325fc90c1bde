import { expect, test } from '@jest/globals';
import { pastedCells } from './pasted-cells.ts';

test('tab-separated text as spreadsheets copy it: quotes around cells of several lines, a last line that ends', () => {
  // Common practice of spreadsheets on the clipboard; quoting as in RFC 4180, section 2, with tabs for commas.
  const text = 'What\tCost\r\n"Batten, ""larch"""\t6.10\r\n"two\nlines"\t\r\n';
  expect(pastedCells({ html: '', text })).toEqual([
    ['What', 'Cost'],
    ['Batten, "larch"', '6.10'],
    ['two lines', ''],
  ]);
});

test('the first table of HTML goes before the text, and short rows are filled up', () => {
  const html =
    '<meta charset="utf-8"><p>Costs</p><table><tr><th>What</th><th>Cost</th></tr><tr><td><b>Strap</b></td></tr></table>';
  expect(pastedCells({ html, text: 'What Cost' })).toEqual([
    ['What', 'Cost'],
    ['Strap', ''],
  ]);
});

test('one cell, a word and nothing are no table', () => {
  for (const text of ['', 'Strap', 'Strap\n'])
    for (const html of ['', '<p>Strap</p>', '<table><tr><td>Strap</td></tr></table>'])
      expect(pastedCells({ html, text })).toBeNull();
  // Lines below each other are a column.
  expect(pastedCells({ html: '', text: 'one\ntwo' })).toEqual([['one'], ['two']]);
});
