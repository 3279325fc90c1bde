import { expect, test } from '@jest/globals';
import { newPart } from './new-part.ts';
import type { Part } from './parts.ts';
import { wordsTaking } from './words-taking.ts';

const written = (id: string, text: string): Part => ({
  id,
  height: 'public',
  kind: 'words',
  text: { type: 'doc', content: text ? [{ type: 'paragraph', content: [{ type: 'text', text }] }] : [] },
});
const parts: Part[] = [
  written('first1', 'Said.'),
  newPart('quote', 'second'),
  written('third3', ''),
  written('fourth', ''),
];
const idOf = (selected: string | null, list = parts) => wordsTaking(list, selected)?.id ?? null;

test('the selected words take it, written or not', () => {
  expect(idOf('first1')).toBe('first1');
  expect(idOf('fourth')).toBe('fourth');
});

test('with nothing selected the first empty words take it', () => {
  expect(idOf(null)).toBe('third3');
  expect(idOf(null, parts.slice(0, 2))).toBeNull();
});

test('with something else selected nobody takes it: it is to stand after that', () => {
  expect(idOf('second')).toBeNull();
  expect(idOf('opening')).toBeNull();
  expect(idOf('gone00')).toBeNull();
});
