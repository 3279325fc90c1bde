import { expect, test } from '@jest/globals';
import { alikeAmong } from './alike-among.ts';

test('only pictures that look like another one of the same gallery are counted', () => {
  const groups = [
    ['a', 'b', 'c'],
    ['d', 'e'],
  ];
  expect(alikeAmong(['a', 'x'], groups)).toBe(0);
  expect(alikeAmong(['a', 'c', 'x'], groups)).toBe(2);
  expect(alikeAmong(['a', 'b', 'c', 'd', 'e'], groups)).toBe(5);
  expect(alikeAmong(['a', 'a'], groups)).toBe(0);
  expect(alikeAmong([], groups)).toBe(0);
});
