import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import { mine } from '../credits/provenance.ts';
import { newPart } from '../parts/new-part.ts';
import { pagesWithoutCredit } from './pages-without-credit.ts';

const [sample] = fc.sample(draftArbitrary, { numRuns: 1, seed: 5 });
const [page] = sample?.pages ?? [];
if (!sample || !page) throw new Error('no sample');
const bare = {
  ...page,
  cover: { picture: null, focus: null },
  opening: { ...page.opening, pictures: [] },
  parts: [newPart('gallery', 'gallery-1', ['material-1', 'material-2', 'material-1'])],
};
const count = (provenance: object) =>
  pagesWithoutCredit(
    {
      pages: [bare],
      materials: sample.materials.map((one) => ({ ...one, provenance: { ...mine, ...provenance } })),
    },
    () => true,
  ).map((one) => one.count);

test('counts works of others whose source or licence is not said, once each', () => {
  const theirs = { whose: 'someone-else', maker: 'Ana' };
  expect(count(theirs)).toEqual([2]);
  expect(count({ ...theirs, source: 'Town archive' })).toEqual([2]);
  expect(count({ ...theirs, licence: 'CC-BY-4.0' })).toEqual([2]);
  expect(count({ ...theirs, source: 'Town archive', licence: 'CC-BY-4.0' })).toEqual([]);
  // A maker nobody knows is no reason to hold a page back.
  expect(count({ ...theirs, maker: '', source: 'Town archive', licence: 'CC-BY-4.0' })).toEqual([]);
  expect(count({})).toEqual([]);
  expect(count({ whose: 'with-others' })).toEqual([]);
});

test('asks only about the pages it is to', () => {
  expect(pagesWithoutCredit(sample, () => false)).toEqual([]);
});
