import { expect, test } from '@jest/globals';
import { newPart } from '../parts/new-part.ts';
import type { Part } from '../parts/parts.ts';
import { withPersonPart, withPortraitFirst } from './person-parts.ts';

const part = (kind: Parameters<typeof newPart>[0], id: string, more: object = {}): Part =>
  ({ ...newPart(kind, id), ...more }) as Part;
const ids = (parts: readonly Part[]) => parts.map(({ id }) => id);

test('what tells of the maker stands above all else, in one order, however it came', () => {
  const tied = [
    part('telling', 'why', { half: 'work' }),
    part('place', 'country', { exactness: 'country' }),
    part('headline', 'headline'),
    part('telling', 'life', { half: 'biography' }),
    part('portrait', 'photo'),
    part('place', 'town', { exactness: 'town' }),
    part('portrait', 'drawn', { form: 'drawn' }),
    part('full-name', 'name'),
  ];
  const all = tied.reduce(withPersonPart, [part('words', 'words'), part('contact', 'contact')]);
  expect(ids(all)).toEqual('photo drawn name headline town country life why words contact'.split(' '));
  // Changed, it stays where its maker has put it.
  const moved = [...all.slice(1), all[0] as Part];
  expect(ids(withPersonPart(moved, part('portrait', 'photo', { form: 'none' })))).toEqual(ids(moved));
});

test('a portrait is chosen by standing first', () => {
  const parts = [part('portrait', 'one'), part('portrait', 'two'), part('headline', 'three')];
  expect(ids(withPortraitFirst(parts, 'two'))).toEqual(['two', 'one', 'three']);
  expect(ids(withPortraitFirst(parts, 'one'))).toEqual(['one', 'two', 'three']);
  expect(ids(withPortraitFirst(parts, 'gone'))).toEqual(['one', 'two', 'three']);
});

test('a full name begins low, and so does an exact place', () => {
  expect(newPart('full-name', 'part-1').height).toBe('invited');
  expect(newPart('headline', 'part-1').height).toBe('public');
});
