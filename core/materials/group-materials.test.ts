import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import { findMaterials } from './find-materials.ts';
import { groupings, groupMaterials, homes, orders, sortMaterials } from './group-materials.ts';
import type { Material, MaterialOf } from './material.ts';
import { byRank } from '../pages/by-rank.ts';
import { mine } from '../credits/provenance.ts';

const material = (id: string, change: Partial<MaterialOf<'picture'>> = {}): Material => ({
  id,
  kind: 'picture',
  original: '0'.repeat(64),
  fileName: `${id}.jpg`,
  bytes: 1,
  title: '',
  caption: '',
  alt: '',
  takenOn: null,
  tags: [],
  provenance: mine,
  project: null,
  fixes: {},
  transcript: '',
  shownBy: null,
  facts: {
    format: 'jpeg',
    frames: 1,
    widthPx: 4,
    heightPx: 3,
    orientation: 1,
    hasGps: false,
    colour: '#888888',
  },
  ...change,
});
const ids = (list: readonly Material[]) => list.map(({ id }) => id);

describe('groupMaterials', () => {
  test('every material is in one group, in its order, and no group is empty', () => {
    fc.assert(
      fc.property(draftArbitrary, fc.constantFrom(...groupings), ({ materials, pages }, by) => {
        const groups = groupMaterials(materials, pages, by);
        expect(groups.flatMap((group) => ids(group.materials)).sort()).toEqual(ids(materials).sort());
        for (const group of groups) {
          expect(group.materials.length).toBeGreaterThan(0);
          expect(ids(group.materials)).toEqual(
            ids(materials).filter((id) => ids(group.materials).includes(id)),
          );
        }
      }),
    );
  });

  test('a material gathered for a project is there before it stands on a page, and loose once the project is gone', () => {
    fc.assert(
      fc.property(draftArbitrary, ({ pages }) => {
        fc.pre(pages.length > 0);
        const inOrder = [...pages].sort(byRank);
        const last = inOrder.at(-1);
        const own = material('fresh', { project: last?.id ?? null });
        expect(homes(inOrder)(own)).toBe(last);
        expect(groupMaterials([own], [], 'project')[0]?.key).toBe('loose');
      }),
    );
  });

  test('months run from the newest, a year stands for itself, and undated ones are last', () => {
    const list = [
      material('a'),
      material('b', { takenOn: '2025' }),
      material('c', { takenOn: '2025-11-13T10:00:00' }),
      material('d', { takenOn: '2025-11' }),
      material('e', { takenOn: '2026-01-02' }),
    ];
    expect(groupMaterials(list, [], 'month').map(({ title, materials }) => [title, ids(materials)])).toEqual([
      ['January 2026', ['e']],
      ['November 2025', ['c', 'd']],
      ['2025', ['b']],
      ['No date', ['a']],
    ]);
  });
});

test('look-alikes stand together where at least two of them are here', () => {
  const list = ['a', 'b', 'c', 'd', 'e'].map((id) => material(id, { title: id.toUpperCase() }));
  const alike = [
    ['c', 'a', 'gone'],
    ['d', 'gone too'],
  ];
  expect(
    groupMaterials(list, [], 'alike', alike).map((group) => [group.title, ids(group.materials)]),
  ).toEqual([
    ['C', ['a', 'c']],
    ['Like no other', ['b', 'd', 'e']],
  ]);
});

describe('sortMaterials', () => {
  const list = [
    material('a', { title: 'dial 10', takenOn: '2025-02' }),
    material('b'),
    material('c', { title: 'Dial 9', takenOn: '2024' }),
    material('d', { title: 'école', takenOn: '2025-02-03' }),
  ];
  test.each([
    ['added', 'dcba'],
    ['taken', 'cadb'],
    ['title', 'cadb'],
  ] as const)('%s', (order, wanted) => expect(ids(sortMaterials(list, order)).join('')).toBe(wanted));
  test('loses nothing and is the same done twice', () => {
    fc.assert(
      fc.property(draftArbitrary, fc.constantFrom(...orders), ({ materials }, order) => {
        const sorted = sortMaterials(materials, order);
        expect(ids(sorted).sort()).toEqual(ids(materials).sort());
        if (order !== 'added') expect(sortMaterials(sorted, order)).toEqual(sorted);
      }),
    );
  });
});

describe('findMaterials', () => {
  const list = [
    material('a', { title: 'Café wall', tags: ['Sketch'] }),
    material('b', { caption: 'A wall of tools', provenance: { ...mine, maker: 'Harbour Office' } }),
    material('c', { fileName: 'IMG_2041.jpg' }),
  ];
  test.each([
    ['', 'abc'],
    ['  ', 'abc'],
    ['wall', 'ab'],
    ['WALL sketch', 'a'],
    ['cafe', 'a'],
    ['harbour', 'b'],
    ['2041', 'c'],
    ['wall 2041', ''],
  ])('“%s”', (query, wanted) => expect(ids(findMaterials(list, query)).join('')).toBe(wanted));
});
