import { expect, test } from '@jest/globals';
import { newPart } from '../parts/new-part.ts';
import { noCover } from '../pages/cover.ts';
import type { Part } from '../parts/parts.ts';
import { mine } from '../credits/provenance.ts';
import { sampleSound } from '../materials/sample-sound.ts';
import { pageNeeds } from './page-needs.ts';

const known = (more: Parameters<typeof sampleSound>[1] = {}) =>
  new Map([['sound-001', sampleSound('sound-001', more)]]);
const opening = { layout: 'words' as const, pictures: [] };
const evidence = {
  ...newPart('evidence', 'part-one', ['sound-001']),
  what: 'a',
  why: 'b',
  shows: 'c',
} as Part;

test('an empty page needs a title, something on it, a line that says what it is, and evidence', () => {
  expect(
    pageNeeds(
      { title: ' ', summary: '', cover: noCover, opening, parts: [newPart('words', 'part-one')] },
      new Map(),
      3,
    ),
  ).toEqual([
    { kind: 'title', count: 1 },
    { kind: 'content', count: 1 },
    { kind: 'summary', count: 1 },
    { kind: 'evidence', count: 3 },
  ]);
});

test('each material counts once, however often it is shown; what is said and credited is not asked for again', () => {
  const page = {
    title: 'Tide clock',
    summary: 'A clock',
    cover: noCover,
    opening,
    parts: [evidence, newPart('sound', 'part-two', ['sound-001'])],
  };
  expect(pageNeeds(page, known(), 1)).toEqual([{ kind: 'transcript', count: 1 }]);
  const said = known({
    transcript: 'Hello.',
    provenance: { ...mine, whose: 'someone-else', source: 'Archive' },
  });
  expect(pageNeeds(page, said, 0)).toEqual([{ kind: 'credit', count: 1 }]);
  expect(pageNeeds(page, known({ transcript: 'Hello.' }), 1)).toEqual([]);
});
