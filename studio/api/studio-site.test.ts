import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '#core/access/arbitrary-draft.ts';
import type { Patch } from '#contract/patch.ts';
import type { SiteState } from '#contract/site-state.ts';
import { sampleSound } from '#core/materials/sample-sound.ts';
import { applyPatch, received, seenRevision, type StudioSite, withChange, withWords } from './studio-site.ts';

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
  begun: [],
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

describe('words of which only the beginning is here', () => {
  const [loaded] = fc.sample(state, 1);
  if (!loaded) throw new Error('no sample');
  const site = received({
    ...loaded,
    materials: [
      sampleSound('long-0001', { transcript: 'Once' }),
      sampleSound('long-0002', { transcript: 'Twice' }),
    ],
    begun: ['long-0001', 'long-0002'],
  });
  const said = ({ materials, begun }: StudioSite) => [
    materials.map(({ transcript }) => transcript),
    [...begun],
  ];

  test('are whole once they are fetched, and only those', () => {
    const fetched = withWords(site, { 'long-0001': 'Once upon a tide' });
    expect(said(fetched)).toEqual([['Once upon a tide', 'Twice'], ['long-0002']]);
  });

  test('are not laid over what was written here meanwhile', () => {
    const written = withChange(site, 'material', 'long-0001', { transcript: 'Mine' });
    expect(said(written)).toEqual([['Mine', 'Twice'], ['long-0002']]);
    expect(withWords(written, { 'long-0001': 'Once upon a tide' })).toBe(written);
  });

  test('stay a beginning when something else of it is changed, here or elsewhere while it is unsent here', () => {
    expect([...withChange(site, 'material', 'long-0001', { title: 'Tide' }).begun]).toContain('long-0001');
    const theirs = sampleSound('long-0001', { transcript: 'Once upon a tide' });
    const kept = applyPatch(site, patch({ materials: { 'long-0001': theirs } }), new Set(['long-0001']));
    expect(said(kept)).toEqual([
      ['Once', 'Twice'],
      ['long-0001', 'long-0002'],
    ]);
    expect(said(applyPatch(site, patch({ materials: { 'long-0001': theirs } })))).toEqual([
      ['Once upon a tide', 'Twice'],
      ['long-0002'],
    ]);
  });
});
