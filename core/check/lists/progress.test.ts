import { expect, test } from '@jest/globals';
import { type LeftOf, lineState, progressOf } from './progress.ts';

const left: LeftOf = (rule) => ({ alt: 2, credit: 0, link: 'unknown' as const })[rule] ?? null;
const line = (essential: boolean, rule: string | null, done: boolean) => ({
  ...{ id: 'line-one', text: 'A line', essential, rule, done },
});

test('a rule ticks its line when it has nothing to say, whatever its maker said; an unknown rule leaves it to them', () => {
  expect(lineState(line(true, 'alt', true), left)).toEqual({ done: false, byRule: true, left: 2 });
  expect(lineState(line(true, 'credit', false), left)).toEqual({ done: true, byRule: true, left: 0 });
  expect(lineState(line(true, 'link', true), left)).toEqual({ done: false, byRule: true, left: 'unknown' });
  expect(lineState(line(true, 'of-tomorrow', true), left)).toEqual({ done: true, byRule: false, left: 0 });
  expect(lineState(line(true, null, false), left)).toEqual({ done: false, byRule: false, left: 0 });
});

test('essentials and extras are counted apart', () => {
  const lines = [
    line(true, 'alt', false),
    line(true, 'credit', false),
    line(true, null, true),
    line(false, null, true),
  ];
  expect(progressOf({ id: 'a-list', name: '', by: '', evidence: 0, lines }, left)).toEqual({
    essentials: { done: 2, of: 3 },
    extras: { done: 1, of: 1 },
  });
});
