import { expect, test } from '@jest/globals';
import { newPart } from './new-part.ts';
import type { Part } from './parts.ts';
import { seenPart } from './seen-part.ts';

/** On a page that names nobody, with nothing beside it. */
const alone = {
  ...{ credits: [], opens: () => false, work: () => null, proves: () => false },
  ...{ moments: () => [], phases: [], downloads: true },
};

test('a part keeps its place beside another one, and nothing of what its maker was asked', () => {
  const beside = { with: 'part-0', share: 0.4 };
  const quote = { ...newPart('quote', 'part-1'), text: 'It holds.', prompt: 'Who said it?' } as Part;
  expect(seenPart({ ...quote, beside }, alone)).toEqual({
    id: 'part-1',
    kind: 'quote',
    beside,
    text: 'It holds.',
    by: '',
  });
  expect(Object.keys(seenPart(quote, alone) ?? {})).toEqual(['id', 'kind', 'text', 'by']);
});

test('a reflection is its answers without the questions, and without those that say nothing', () => {
  const answer = (id: string, text: string) => ({ id, question: `secret ${id}`, text });
  const part: Part = {
    id: 'part-1',
    height: 'public',
    kind: 'reflection',
    answers: [answer('one', ' Start with the weight. '), answer('two', '  '), answer('three', 'Ask first.')],
  };
  expect(seenPart(part, alone)).toEqual({
    id: 'part-1',
    kind: 'reflection',
    texts: ['Start with the weight.', 'Ask first.'],
  });
});

test('credits are shown where somebody is to be named, and a kind that nobody knows never', () => {
  expect(seenPart(newPart('credits', 'part-1'), alone)).toBeNull();
  const credits = [[{ kind: 'title' as const, text: 'Quay' }]];
  expect(seenPart(newPart('credits', 'part-1'), { ...alone, credits: credits as never })).toEqual({
    id: 'part-1',
    kind: 'credits',
    credits,
  });
  expect(seenPart({ id: 'part-1', height: 'public', kind: 'hologram' } as unknown as Part, alone)).toBeNull();
});
