import { expect, test } from '@jest/globals';
import { liesOver } from './lies-over.ts';

const shape = (widthPx: number, heightPx: number) => ({ widthPx, heightPx });

test('pictures of about one shape lie over each other, an upright and a wide one do not', () => {
  expect(liesOver(shape(4000, 3000), shape(1600, 1200))).toBe(true);
  expect(liesOver(shape(4000, 3000), shape(6000, 4000))).toBe(true);
  expect(liesOver(shape(6000, 4000), shape(4000, 3000))).toBe(true);
  expect(liesOver(shape(3000, 4000), shape(4000, 3000))).toBe(false);
  expect(liesOver(shape(2000, 1000), shape(4000, 3000))).toBe(false);
});
