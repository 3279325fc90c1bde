import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixedDraftArbitrary } from '#core/access/arbitrary-draft.ts';
import { heightsOf } from '#core/access/heights-of.ts';
import { seenBy } from '#core/access/seen-by.ts';
import { isWork } from '#core/pages/page.ts';
import { quickLinksAtEnd } from '#core/sites/quick-link.ts';
import { draftSources } from './draft-sources.ts';
import { renderFeed, toldOf } from './feed.ts';
import { pageInputs } from './page-inputs.ts';

const base = 'https://kite.example/a-site/';
const paths = { picture: (shown: { id: string }) => `${shown.id}.jpg`, file: () => 'file' };

test('a feed names every public project of its site and nothing that a stranger may not open', () => {
  fc.assert(
    fc.property(mixedDraftArbitrary, (draft) => {
      const view = seenBy(draft, { kind: 'stranger' });
      if (!view) return;
      const now = new Date('2026-11-26T12:00:00Z');
      const times = new Map(toldOf(view).map(({ id }) => [id, { publishedAt: now, changedAt: now }]));
      const feed = renderFeed(view, draft.site.id, base, times);
      // Worked out from the draft's heights, and not from the view that everything comes from.
      const { pages: heights } = heightsOf(draft);
      for (const page of draft.pages) {
        const isOpen = draft.site.height === 'public' && heights.get(page.id) === 'public';
        const isNamed = feed.includes(`>${page.title}<`) || feed.includes(page.title);
        expect([page.id, page.kind, isNamed]).toEqual([page.id, page.kind, isOpen && isWork(page)]);
      }
      expect(renderFeed(view, draft.site.id, base, times)).toBe(feed);
    }),
  );
});

test('only the public entrance leads to a feed, and quick links stand where they were put', () => {
  fc.assert(
    fc.property(mixedDraftArbitrary, fc.constantFrom('stranger', 'site-link'), (draft, kind) => {
      const view = seenBy(draft, { kind } as { kind: 'stranger' | 'site-link' });
      if (!view) return;
      const sources = draftSources(Object.values(view.materials), new Map(), paths, '');
      for (const at of [base, null])
        for (const { input } of pageInputs(view, sources, at)) {
          expect(input.feed).toBe(at === null ? null : 'feed.xml');
          expect(input.links.map(({ title }) => title)).toEqual(
            quickLinksAtEnd(draft.site.quickLinks, input.page.id).map(({ name }) => name),
          );
        }
    }),
  );
});
