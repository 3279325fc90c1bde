import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixedDraftArbitrary } from '../access/arbitrary-draft.ts';
import type { Page } from './page.ts';
import { landingAt, pickedUp, treeRows } from './carrying.ts';
import { placed, whyNotBelow } from './page-places.ts';
import { pageTree } from './page-tree.ts';

const rowsOf = (pages: readonly Page[], folded: ReadonlySet<string> = new Set()) =>
  treeRows(pageTree(pages), folded);
const shape = (pages: readonly Page[]) =>
  rowsOf(pages).map(({ page, depth }) => `${'.'.repeat(depth)}${page.id}`);

/** As a site is: with one front page at most, at the top. */
const withOneFront = (pages: readonly Page[]): Page[] => {
  const front = pages.find(({ kind }) => kind === 'home');
  return pages.map((page): Page =>
    page === front ? { ...page, parent: null } : page.kind === 'home' ? { ...page, kind: 'plain' } : page,
  );
};

/** Carries a page somewhere and puts it down. */
function carried(pages: readonly Page[], id: string, gap: number, depth: number): Page[] {
  const up = pickedUp(rowsOf(pages), id);
  if (!up) throw new Error('It is not there.');
  const place = landingAt(up.rest, { gap, depth });
  const change = placed(pages, id, place);
  return pages.map((page): Page => (page.id === id ? { ...page, ...change } : page));
}

describe('carrying a page along the string', () => {
  test('it lands where it was shown to land, with all that stands below it, and nothing else moves', () => {
    fc.assert(
      fc.property(mixedDraftArbitrary, fc.nat(), fc.nat(12), fc.nat(4), ({ pages }, which, gap, depth) => {
        // Only what may stand where it stands is carried about; a link that holds pages is put right by its maker first.
        const all = withOneFront(pages);
        const standing = all.map((page): Page =>
          whyNotBelow(all, page.id, page.parent) === null ? page : { ...page, parent: null },
        );
        const movable = standing.filter(({ kind }) => kind !== 'home');
        const page = movable[which % movable.length];
        if (!page) return;
        const up = pickedUp(rowsOf(standing), page.id);
        if (!up) throw new Error('Every page has a row.');
        const place = landingAt(up.rest, { gap, depth });
        expect(whyNotBelow(standing, page.id, place.parent)).toBeNull();
        const after = carried(standing, page.id, gap, depth);
        const there = pickedUp(rowsOf(after), page.id);
        expect(there?.carrying).toEqual({ gap: place.gap, depth: place.depth });
        expect(there?.rest.map((row) => [row.page.id, row.depth])).toEqual(
          up.rest.map((row) => [row.page.id, row.depth]),
        );
      }),
    );
  });

  test('put down where it was picked up, nothing changes but perhaps its rank', () => {
    fc.assert(
      fc.property(mixedDraftArbitrary, fc.nat(), ({ pages }, which) => {
        const standing = withOneFront(pages).map((page): Page => ({ ...page, parent: null }));
        const page = standing[which % standing.length];
        const up = page && pickedUp(rowsOf(standing), page.id);
        if (!page || !up || page.kind === 'home') return;
        expect(shape(carried(standing, page.id, up.carrying.gap, up.carrying.depth))).toEqual(
          shape(standing),
        );
      }),
    );
  });

  test('no deeper than what stands above it holds, no higher than what stands below it goes on', () => {
    const at = (kind: string, id: string, depth: number, folded = false) => ({
      page: { id, kind, parent: null, rank: 'a0' },
      depth,
      folded,
    });
    const rows = [
      at('home', 'front', 0),
      at('group', 'year', 0),
      at('project', 'clock', 1),
      at('link', 'tables', 0),
    ];
    expect(landingAt(rows, { gap: 0, depth: 3 })).toEqual({ gap: 1, depth: 0, parent: null, at: 0 });
    expect(landingAt(rows, { gap: 2, depth: 0 })).toEqual({ gap: 2, depth: 1, parent: 'year', at: 0 });
    expect(landingAt(rows, { gap: 3, depth: 9 })).toEqual({ gap: 3, depth: 2, parent: 'clock', at: 0 });
    expect(landingAt(rows, { gap: 3, depth: 1 })).toEqual({ gap: 3, depth: 1, parent: 'year', at: 1 });
    expect(landingAt(rows, { gap: 3, depth: 0 })).toEqual({ gap: 3, depth: 0, parent: null, at: 1 });
    expect(landingAt(rows, { gap: 99, depth: 9 })).toEqual({ gap: 4, depth: 0, parent: null, at: 2 });
    const folded = [at('group', 'year', 0, true)];
    expect(landingAt(folded, { gap: 1, depth: 1 })).toMatchObject({
      parent: 'year',
      at: Number.MAX_SAFE_INTEGER,
    });
  });
});
