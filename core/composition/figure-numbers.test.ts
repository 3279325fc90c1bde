import { expect, test } from '@jest/globals';
import { newPart } from '../parts/new-part.ts';
import type { SeenPart } from '../parts/parts.ts';
import { figureNumbers } from './figure-numbers.ts';

const part = (kind: 'gallery' | 'picture' | 'words', more: object) =>
  ({ ...newPart(kind, kind), ...more }) as SeenPart;
const parts = [
  part('picture', { material: 'a' }),
  part('words', {}),
  part('gallery', { pictures: ['b', 'a', 'silent', 'c'], captions: 'below' }),
  part('gallery', { pictures: ['hidden'], captions: 'hidden' }),
  part('picture', { material: null }),
  part('picture', { material: 'd' }),
];

test('pictures with words below them are numbered as they are read, each once', () => {
  expect([...figureNumbers(parts, (id) => id !== 'silent')]).toEqual([
    ['a', 1],
    ['b', 2],
    ['c', 3],
    ['d', 4],
  ]);
});
