import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '#core/access/arbitrary-draft.ts';
import type { Patch } from '#contract/patch.ts';
import type { SiteState } from '#contract/site-state.ts';
import { applyPatch, received, seenRevision } from './studio-site.ts';

const live = {
  release: null,
  readersReach: 'private' as const,
  waiting: [],
  addressPath: null,
  siteLinkPath: null,
  pageLinkPaths: {},
};
const history = { undo: null, redo: null };
const patch = (change: Partial<Patch>): Patch => ({
  revision: 9,
  site: null,
  pages: {},
  materials: {},
  history,
  live,
  ...change,
});
const state = draftArbitrary.map((draft): SiteState => ({
  ...draft,
  revision: 5,
  history,
  live,
  limits: { fileBytes: 1, totalBytes: 1 },
}));

describe('applyPatch', () => {
  test('changes, adds and removes exactly the rows it names, and keeps pages in reading order', () => {
    fc.assert(
      fc.property(state, (loaded) => {
        const [first] = loaded.pages;
        if (!first) return;
        const site = received(loaded);
        const added = { ...first, id: 'page-new', rank: 'a', title: 'New' };
        const after = applyPatch(site, patch({ pages: { [first.id]: null, 'page-new': added } }));
        expect(after.pages.map(({ id }) => id)).toEqual([
          'page-new',
          ...loaded.pages.slice(1).map(({ id }) => id),
        ]);
        expect(after.materials).toEqual(loaded.materials);
        expect(site.pages).toEqual(loaded.pages);
      }),
    );
  });

  test('a row that changed here meanwhile keeps what is on the screen, and learns the new revision', () => {
    fc.assert(
      fc.property(state, (loaded) => {
        const [first] = loaded.pages;
        if (!first) return;
        const after = applyPatch(
          received(loaded),
          patch({ pages: { [first.id]: { ...first, title: 'Theirs' } } }),
          new Set([first.id]),
        );
        expect(after.pages.find(({ id }) => id === first.id)?.title).toBe(first.title);
        expect(seenRevision(after, first.id)).toBe(9);
        expect(seenRevision(after, 'page-never-patched')).toBe(5);
      }),
    );
  });
});
