import { expect, test } from '@jest/globals';
import type { Material } from '../content/material.ts';
import { newPart } from '../content/new-part.ts';
import type { Part } from '../content/part.ts';
import { mine } from '../content/provenance.ts';
import { pageNeeds } from './page-needs.ts';

const sound = (id: string, more: Partial<Material> = {}): [string, Material] => [
  id,
  {
    id,
    title: '',
    caption: '',
    alt: '',
    original: '0'.repeat(64),
    fileName: '',
    bytes: 1,
    takenOn: null,
    tags: [],
    project: null,
    fixes: {},
    transcript: '',
    shownBy: null,
    provenance: mine,
    kind: 'sound',
    facts: { format: 'mp3', seconds: 1 },
    ...more,
  } as Material,
];
const opening = { layout: 'words' as const, pictures: [] };
const evidence = {
  ...newPart('evidence', 'part-one', ['sound-001']),
  what: 'a',
  why: 'b',
  shows: 'c',
} as Part;

test('an empty page needs a title, something on it, a line that says what it is, and evidence', () => {
  expect(
    pageNeeds({ title: ' ', summary: '', opening, parts: [newPart('words', 'part-one')] }, new Map(), 3),
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
    opening,
    parts: [evidence, newPart('sound', 'part-two', ['sound-001'])],
  };
  expect(pageNeeds(page, new Map([sound('sound-001')]), 1)).toEqual([{ kind: 'transcript', count: 1 }]);
  const said = sound('sound-001', {
    transcript: 'Hello.',
    provenance: { ...mine, whose: 'someone-else', source: 'Archive' },
  });
  expect(pageNeeds(page, new Map([said]), 0)).toEqual([{ kind: 'credit', count: 1 }]);
  expect(pageNeeds(page, new Map([sound('sound-001', { transcript: 'Hello.' })]), 1)).toEqual([]);
});
