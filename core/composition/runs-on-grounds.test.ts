import { expect, test } from '@jest/globals';
import type { SeenPart } from '../parts/parts.ts';
import type { Ground } from '../parts/ground.ts';
import { placedParts } from './placed-parts.ts';
import { runsOnGrounds } from './runs-on-grounds.ts';

const deep: Ground = { kind: 'colour', colour: 'quiet', wide: true };
const quote = (id: string, ground?: Ground, beside?: string): SeenPart => ({
  ...{ id, kind: 'quote', text: 'It holds.', by: '' },
  ...(ground && { ground }),
  ...(beside !== undefined && { beside: { with: beside, share: 0.5 } }),
});
const runs = (parts: SeenPart[]) =>
  runsOnGrounds(placedParts(parts, () => false)).map((run) => [
    run.ground?.kind ?? 'page',
    run.parts.map(({ part, beside }) => part.id + (beside ? `+${beside.part.id}` : '')),
  ]);

test('parts on equal grounds that follow each other lie on one, in order and each once', () => {
  expect(runs([quote('a'), quote('b', deep), quote('c', { ...deep }), quote('d'), quote('e', deep)])).toEqual(
    [
      ['page', ['a']],
      ['colour', ['b', 'c']],
      ['page', ['d']],
      ['colour', ['e']],
    ],
  );
  expect(runs([])).toEqual([]);
});

test('of two beside each other the first says what both lie on', () => {
  expect(runs([quote('a', deep), quote('b', undefined, 'a'), quote('c')])).toEqual([
    ['colour', ['a+b']],
    ['page', ['c']],
  ]);
  expect(runs([quote('a'), quote('b', deep, 'a')])).toEqual([['page', ['a+b']]]);
});
