import { expect, test } from '@jest/globals';
import { newPart } from '../parts/new-part.ts';
import type { Part } from '../parts/parts.ts';
import { fromParagraphs } from '../words/rich-text.ts';
import { twoVersions, wordsOf } from './two-versions.ts';

const words = (id: string, text: string): Part =>
  ({ ...newPart('words', id), text: fromParagraphs(text) }) as Part;

test('only what both changed to something else stands side by side, members of facts by themselves', () => {
  const was = { title: 'Clock', summary: '', facts: { role: 'Making', field: '' } };
  const theirs = { title: 'Tide clock', summary: '', facts: { role: 'Design', field: '' } };
  const mine = {
    title: 'My clock',
    summary: 'One hand',
    facts: { role: 'Making and more', field: 'Clocks' },
  };
  expect(twoVersions(was, mine, theirs)).toEqual([
    { field: 'title', part: null, mine: 'My clock', theirs: 'Tide clock' },
    { field: 'facts role', part: null, mine: 'Making and more', theirs: 'Design' },
  ]);
});

test('of parts the words of those that both wrote, and none that only one touched', () => {
  const was = { parts: [words('part-one', 'One'), words('part-two', 'Two')] };
  const theirs = { parts: [words('part-one', 'Theirs'), words('part-two', 'Also theirs')] };
  const mine = { parts: [words('part-one', 'Mine'), words('part-two', 'Two')] };
  expect(twoVersions(was, mine, theirs)).toEqual([
    { field: null, part: 'part-one', mine: 'Mine', theirs: 'Theirs' },
  ]);
});

test('what cannot be read has no words', () => {
  expect(wordsOf({ id: 'part-one', kind: 'gallery', pictures: ['a-picture'], title: 'Bench' })).toBe('Bench');
  expect(wordsOf({ pictures: ['a-picture'] })).toBe('');
  expect(wordsOf(['Ana', { name: 'Idris', did: 'sums' }])).toBe('Ana\nIdris\nsums');
});
