import { expect, test } from '@jest/globals';
import { timeSpent } from './time-spent.ts';

test('time is added up as a whole, by page and by phase, and what is not said counts as nothing', () => {
  const of = (page: string, phase: string | null, minutes: number | null) => ({ page, phase, minutes });
  const spent = timeSpent([
    of('clock', 'build', 60),
    of('lamp', 'build', 30),
    of('clock', null, 5),
    of('clock', 'test', null),
  ]);
  expect(spent.all).toBe(95);
  expect([...spent.byPage]).toEqual([
    ['clock', 65],
    ['lamp', 30],
  ]);
  expect([...spent.byPhase]).toEqual([
    ['build', 90],
    [null, 5],
  ]);
  expect(timeSpent([])).toEqual({ all: 0, byPage: new Map(), byPhase: new Map() });
});
