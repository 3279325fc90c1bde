import { expect, test } from '@jest/globals';
import { stringLines } from './string-lines.ts';

test('each string goes on to the last thing that hangs on it, and no further', () => {
  const depths = [0, 0, 1, 2, 1, 0, 1];
  expect(stringLines(depths.map((depth) => ({ depth })))).toEqual([
    [true],
    [true],
    [true, true],
    [true, false, false],
    [true, false],
    [true],
    [false, false],
  ]);
  expect(stringLines([])).toEqual([]);
});
