import { expect, test } from '@jest/globals';
import { oneLine } from './one-line.ts';

test.each([
  ['plain  words ', 'plain  words '],
  ['one\ntwo', 'one two'],
  ['one \n\n  two\n', 'one two '],
  ['\nfirst', ' first'],
])('%j', (text, line) => expect(oneLine(text)).toBe(line));

test('blanks without end cost no more than their length', () => {
  const before = process.cpuUsage();
  oneLine(`${' '.repeat(200_000)}x\n`);
  expect(process.cpuUsage(before).user).toBeLessThan(200_000);
});
