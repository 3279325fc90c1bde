import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { flatTree, pageTree, type Standing } from './page-tree.ts';

const page = (id: string, parent: string | null = null, rank = id, kind = 'project'): Standing => ({
  id,
  kind,
  parent,
  rank,
});
const drawn = (pages: readonly Standing[]) =>
  flatTree(pageTree(pages)).map((one) => `${'.'.repeat(one.depth)}${one.page.id}`);

describe('the tree of a site', () => {
  test('has the front page first, whatever its rank, and what stands below a page after it', () => {
    const pages = [
      page('year-2', null, 'a2', 'group'),
      page('chair', 'year-1', 'a2'),
      page('front', null, 'a9', 'home'),
      page('year-1', null, 'a1', 'group'),
      page('clock', 'year-1', 'a1'),
      page('lamp', 'year-2', 'a1'),
    ];
    expect(drawn(pages)).toEqual(['front', 'year-1', '.clock', '.chair', 'year-2', '.lamp']);
  });

  test('a page whose parent is gone stands at the top', () => {
    expect(drawn([page('b', 'gone'), page('a')])).toEqual(['a', 'b']);
  });

  test('a circle is opened at its first page by rank, and nobody is lost in it', () => {
    expect(drawn([page('a', 'c'), page('b', 'a'), page('c', 'b'), page('d')])).toEqual([
      'd',
      'a',
      '.b',
      '..c',
    ]);
  });

  test('has every page once, whatever their parents say', () => {
    const standing = fc.record({ parent: fc.option(fc.nat(12), { nil: null }), rank: fc.nat(5) });
    fc.assert(
      fc.property(fc.array(standing, { maxLength: 12 }), (some) => {
        const pages = some.map(({ parent, rank }, at) =>
          page(`p${at}`, parent === null ? null : `p${parent}`, `a${rank}`),
        );
        expect(
          drawn(pages)
            .map((line) => line.replace(/^\.+/, ''))
            .sort(),
        ).toEqual(pages.map(({ id }) => id).sort());
      }),
    );
  });
});
