import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { pathOfPages } from '../access/path-of-pages.ts';
import { pageKinds } from './page-kinds.ts';
import { placed, whyNotBelow } from './page-places.ts';
import { pageTree, type Standing } from './page-tree.ts';

const page = (id: string, kind: string, parent: string | null = null, rank = 'a1'): Standing => ({
  id,
  kind,
  parent,
  rank,
});
const site = [
  page('front', 'home', null, 'a0'),
  page('year', 'group', null, 'a1'),
  page('clock', 'project', 'year', 'a1'),
  page('sketches', 'plain', 'clock', 'a1'),
  page('lamp', 'project', null, 'a2'),
  page('knot', 'heading', null, 'a3'),
  page('ring', 'link', null, 'a4'),
];

describe('where a page may stand', () => {
  test.each([
    ['front', 'year', 'The front page stays at the top.'],
    ['lamp', 'front', 'Nothing can stand below the front page.'],
    ['lamp', 'ring', 'Nothing can stand below a link.'],
    ['lamp', 'gone', 'The page it would stand below is not here any more.'],
    ['gone', null, 'This page is not here any more.'],
    ['year', 'year', 'A page cannot stand below itself.'],
    ['year', 'sketches', 'A page cannot stand below itself.'],
  ])('%s below %s: %s', (id, parent, why) => {
    expect(whyNotBelow(site, id, parent)).toBe(why);
    expect(() => placed(site, id, { parent, at: 0 })).toThrow(why);
  });

  test.each([
    ['lamp', 'year'],
    ['clock', null],
    ['sketches', 'lamp'],
    ['ring', 'year'],
    ['knot', 'year'],
    ['ring', 'knot'],
  ])('%s below %s', (id, parent) => {
    expect(whyNotBelow(site, id, parent)).toBeNull();
  });

  test('nothing is put into a circle', () => {
    const round = [...site, page('a', 'plain', 'b'), page('b', 'plain', 'a')];
    expect(whyNotBelow(round, 'lamp', 'a')).toMatch('has no place itself');
    expect(whyNotBelow(round, 'a', null)).toBeNull();
  });
});

test('any number of moves gives the order that moving in lists gives, and never a circle', () => {
  const start = [
    page('front', 'home', null, 'a0'),
    ...['b', 'c', 'd', 'e', 'f'].map((id, at) => page(id, 'group', null, `a${at + 1}`)),
  ];
  const ids = start.map(({ id }) => id);
  const move = fc.record({
    id: fc.constantFrom(...ids),
    parent: fc.constantFrom(null, ...ids),
    at: fc.nat(5),
  });
  fc.assert(
    fc.property(fc.array(move, { maxLength: 30 }), (moves) => {
      let pages: Standing[] = start;
      for (const { id, parent, at } of moves) {
        if (whyNotBelow(pages, id, parent) !== null) continue;
        const beside = (all: readonly Standing[]) => {
          const over = parent === null ? pageTree(all) : below(pageTree(all), parent);
          return over.map((node) => node.page.id).filter((one) => one !== 'front');
        };
        const wanted = beside(pages).filter((one) => one !== id);
        wanted.splice(at, 0, id);
        const change = placed(pages, id, { parent, at });
        pages = pages.map((one) => (one.id === id ? { ...one, ...change } : one));
        expect(beside(pages)).toEqual(wanted);
        for (const one of pages) expect(pathOfPages(pages, one.id)).not.toBeNull();
      }
    }),
  );
});

function below(tree: ReturnType<typeof pageTree>, id: string): ReturnType<typeof pageTree> {
  for (const node of tree) {
    if (node.page.id === id) return node.below;
    const deeper = below(node.below, id);
    if (deeper.length > 0) return deeper;
  }
  return [];
}

test('every kind says whether something can stand below it', () => {
  const holding = pageKinds.filter(
    (kind) => whyNotBelow([page('a', 'plain'), page('b', kind)], 'a', 'b') === null,
  );
  expect(holding).toEqual(['project', 'about', 'resume', 'plain', 'group', 'heading']);
});
