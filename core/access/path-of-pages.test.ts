import { expect, test } from '@jest/globals';
import { pathOfPages } from './path-of-pages.ts';

const pages = [
  { id: 'year', parent: null },
  { id: 'course', parent: 'year' },
  { id: 'clock', parent: 'course' },
  { id: 'lost', parent: 'gone' },
  { id: 'one', parent: 'other' },
  { id: 'other', parent: 'one' },
  { id: 'itself', parent: 'itself' },
];
const idsOf = (list: typeof pages, id: string) => pathOfPages(list, id)?.map((page) => page.id) ?? null;

test('from the outside in, and the same again when it is asked twice', () => {
  for (let n = 0; n < 2; n++) {
    expect(idsOf(pages, 'clock')).toEqual(['year', 'course', 'clock']);
    expect(idsOf(pages, 'year')).toEqual(['year']);
  }
});

test('no place for what stands in nothing that is there, in a circle, or is not there itself', () => {
  for (let n = 0; n < 2; n++)
    for (const id of ['lost', 'one', 'other', 'itself', 'nobody']) expect(idsOf(pages, id)).toBeNull();
});

test('another list is another tree', () => {
  expect(idsOf(pages, 'clock')).toHaveLength(3);
  const moved = pages.map((page) => (page.id === 'clock' ? { ...page, parent: null } : page));
  expect(idsOf(moved, 'clock')).toEqual(['clock']);
  expect(idsOf(pages, 'clock')).toHaveLength(3);
});
