import { expect, test } from '@jest/globals';
import { joinedProposals, proposedMoments } from './proposed-moments.ts';
import { shapedProposals } from './shaped-proposals.ts';
import { splitProposal } from './split-proposal.ts';

const days = ['03', '10', '17', '24'].flatMap((day) => [
  { id: `a${day}`, takenOn: `2025-11-${day}T10:00:00` },
  { id: `b${day}`, takenOn: `2025-11-${day}T10:05:00` },
]);
const known = new Map(days.map((one) => [one.id, one]));
const found = (without: string[] = []) => proposedMoments(days, [], [], new Set(without));
const named = (all: ReturnType<typeof found>) => all.map(({ materials }) => materials.join(' '));

test('what was put together or apart stays so when others are taken or refused', () => {
  const [first, second, third, fourth] = found();
  if (!first || !second || !third || !fourth) throw new Error('There are four.');
  const shaped = [joinedProposals(first, second), ...splitProposal(third, known), fourth];
  expect(named(shapedProposals(found(), shaped))).toEqual(['a03 b03 a10 b10', 'a17', 'b17', 'a24 b24']);
  expect(named(shapedProposals(found(['a24', 'b24']), shaped))).toEqual(['a03 b03 a10 b10', 'a17', 'b17']);
  // Half of what was split is taken: the other half stays.
  expect(named(shapedProposals(found(['a17']), shaped))).toEqual(['a03 b03 a10 b10', 'b17', 'a24 b24']);
});

test('of what was put together and is gone in part, the rest is proposed as it is found', () => {
  const [first, second] = found();
  if (!first || !second) throw new Error('There are two.');
  const shaped = [joinedProposals(first, second)];
  expect(named(shapedProposals(found(['a03']), shaped))).toEqual(['b03', 'a10 b10', 'a17 b17', 'a24 b24']);
  expect(shapedProposals(found(), [])).toEqual(found());
});
