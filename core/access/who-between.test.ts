import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from './arbitrary-draft.ts';
import { effectiveHeight } from './effective-height.ts';
import { type Height, heights } from './height.ts';
import { openPages } from './open-pages.ts';
import type { Viewer } from './viewer.ts';
import { type Audience, whoBetween } from './who-between.ts';

test('who gains and who loses, one step and more', () => {
  expect(whoBetween('private', 'public')).toEqual({ gains: ['strangers', 'link', 'passes'], loses: [] });
  expect(whoBetween('public', 'unlisted')).toEqual({ gains: [], loses: ['strangers'] });
  expect(whoBetween('unlisted', 'invited')).toEqual({ gains: [], loses: ['link'] });
  for (const height of heights) expect(whoBetween(height, height)).toEqual({ gains: [], loses: [] });
});

test('it is what the filter of releases does with a project at those heights', () => {
  fc.assert(
    fc.property(draftArbitrary, fc.constantFrom<Height>(...heights), (draft, to) => {
      const page = draft.pages.find(({ archived }) => !archived);
      if (!page) return;
      const moved = {
        ...draft,
        pages: draft.pages.map((one) => (one === page ? { ...one, height: to } : one)),
      };
      const height = (of: typeof draft) => effectiveHeight(of, { page: page.id }).height;
      const { gains, loses } = whoBetween(height(draft), height(moved));
      const ways: Record<Audience, Viewer[]> = {
        strangers: [{ kind: 'stranger' }],
        // What is Unlisted has a link of its own.
        link: [{ kind: 'site-link' }, { kind: 'page-link', page: page.id }],
        passes: [{ kind: 'pass', covers: 'site', downloads: true }],
      };
      for (const who of ['strangers', 'link', 'passes'] as const) {
        const sees = (of: typeof draft) =>
          ways[who].some((viewer) => openPages(of, viewer)?.pages.some(({ id }) => id === page.id) === true);
        expect([who, !sees(draft) && sees(moved)]).toEqual([who, gains.includes(who)]);
        expect([who, sees(draft) && !sees(moved)]).toEqual([who, loses.includes(who)]);
      }
    }),
  );
});
