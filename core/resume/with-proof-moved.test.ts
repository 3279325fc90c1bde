import { expect, test } from '@jest/globals';
import { newPart } from '../parts/new-part.ts';
import type { PartOf } from '../parts/parts.ts';
import { withProofMoved } from './with-proof-moved.ts';

const gears = { page: 'clock', part: 'gears' };

test('proofs go along with what they point at, and nothing else changes', () => {
  const entry = {
    ...newPart('entry', 'skill'),
    proofs: [{ page: 'clock', part: null }, gears],
    lines: [
      { id: 'line-a', text: 'Cut them.', proof: gears },
      { id: 'line-b', text: 'Drew them.', proof: null },
    ],
  } as PartOf<'entry'>;
  expect(withProofMoved(entry, gears, 'lamp')).toEqual({
    ...entry,
    proofs: [
      { page: 'clock', part: null },
      { page: 'lamp', part: 'gears' },
    ],
    lines: [{ ...entry.lines[0], proof: { page: 'lamp', part: 'gears' } }, entry.lines[1]],
  });
  // What points elsewhere is the same object: there is nothing to save.
  expect(withProofMoved(entry, { page: 'clock', part: 'dial' }, 'lamp')).toBe(entry);
  const words = newPart('words', 'words-one');
  expect(withProofMoved(words, gears, 'lamp')).toBe(words);
});
