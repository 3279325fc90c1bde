import { expect, test } from '@jest/globals';
import { isCovered } from './covered.ts';

const blackOut = [{ page: 0, x: 0, y: 0, width: 0.1, height: 0.1 }];

test('a file is held back for what is blacked out on it, or on the PDF that shows it', () => {
  expect(isCovered({ fixes: {}, shownBy: null })).toBe(false);
  expect(isCovered({ fixes: { blackOut: [] }, shownBy: { fixes: {} } })).toBe(false);
  expect(isCovered({ fixes: { blackOut }, shownBy: null })).toBe(true);
  // Slides say in their own file what was covered in the PDF made of them.
  expect(isCovered({ fixes: {}, shownBy: { fixes: { blackOut } } })).toBe(true);
});
