import { expect, test } from '@jest/globals';
import { proposedMoments } from './proposed-moments.ts';
import { splitProposal } from './split-proposal.ts';

const materials = [
  { id: 'a', takenOn: '2025-11-06T10:00:00' },
  { id: 'b', takenOn: '2025-11-06T10:04:00' },
  { id: 'c', takenOn: '2025-11-06T10:19:00' },
  { id: 'd', takenOn: '2025-11-06T10:21:00' },
  { id: 'e', takenOn: '2025-11-06T10:22:00' },
];
const known = new Map(materials.map((one) => [one.id, one]));

test('a proposal is parted at its longest pause, with what looks alike beside it', () => {
  const [one] = proposedMoments(materials, [], [['c', 'e']], new Set());
  if (!one) throw new Error('There is one.');
  expect(splitProposal(one, known)).toMatchObject([
    { key: 'a', date: '2025-11-06', materials: ['a', 'b'], alike: [], after: null },
    { key: 'c', date: '2025-11-06', materials: ['c', 'd'], alike: ['e'], after: { gapMs: 900_000 } },
  ]);
});

test('of one thing there is nothing to part, and parted as often as it goes each is alone', () => {
  const [one] = proposedMoments(materials, [], [], new Set());
  if (!one) throw new Error('There is one.');
  let all = [one];
  for (let n = 0; n < 9; n++) all = all.flatMap((each) => splitProposal(each, known));
  expect(all.map((each) => each.materials)).toEqual([['a'], ['b'], ['c'], ['d'], ['e']]);
});
