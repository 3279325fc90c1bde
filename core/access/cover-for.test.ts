import { expect, test } from '@jest/globals';
import { newPart } from '../parts/new-part.ts';
import { noCover } from '../pages/cover.ts';
import { coverFor } from './cover-for.ts';

const cover = { picture: 'picture-1', focus: { x: 0.2, y: 0.8 } };
const hidden = newPart('picture', 'part-1', ['picture-1']);
const shown = newPart('gallery', 'part-2', ['picture-1', 'picture-2']);
const other = newPart('picture', 'part-3', ['picture-2']);
const page = (opening: string[], parts = [hidden, shown, other]) => ({
  cover,
  opening: { layout: 'full' as const, pictures: opening },
  parts,
});

test('a cover stays while one place of its picture is shown, or where it has no place', () => {
  expect(coverFor(page([]), [hidden, shown, other])).toBe(cover);
  expect(coverFor(page([]), [shown])).toBe(cover);
  expect(coverFor(page(['picture-1'], [hidden]), [])).toBe(cover);
  expect(coverFor(page(['picture-2'], [other]), [other])).toBe(cover);
  expect(coverFor(page([], []), [])).toBe(cover);
});

test('and goes with the last of them', () => {
  expect(coverFor(page([]), [other])).toEqual(noCover);
  expect(coverFor(page([]), [])).toEqual(noCover);
  expect(coverFor({ ...page([]), cover: noCover }, [])).toEqual(noCover);
});
