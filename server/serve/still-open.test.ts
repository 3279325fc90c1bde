import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixedDraftArbitrary } from '#core/access/arbitrary-draft.ts';
import type { ManifestFile } from '#core/release/manifest.ts';
import { releasable } from '#core/release/released.ts';
import { seenBy } from '#core/access/seen-by.ts';
import { draftSources } from '#site/render/draft-sources.ts';
import { pageInputs } from '#site/render/page-inputs.ts';
import { stillOpen } from './still-open.ts';

const file = (more: Partial<ManifestFile> = {}): ManifestFile => ({
  ...{ hash: '0'.repeat(64), type: 'text/plain', bytes: 1, immutable: false },
  ...more,
});

test('while something is closed, what names several pages is closed too: the feed, and any file nobody knows the content of', () => {
  fc.assert(
    fc.property(mixedDraftArbitrary, (draft) => {
      const released = releasable(draft);
      const tree = { 'feed.xml': file(), 'new-kind-of-file.txt': file(), 'assets/site.css': file() };
      const open = stillOpen(tree, released, released, { kind: 'stranger' });
      if (open) expect(Object.keys(open)).toEqual(['assets/site.css']);
    }),
  );
});

test('a share picture is open only with a page whose title it shows and the picture on it', () => {
  fc.assert(
    fc.property(mixedDraftArbitrary, (draft) => {
      const released = releasable(draft);
      const view = seenBy(released, { kind: 'stranger' });
      const sources = draftSources([], new Map(), { picture: () => '', file: () => '' }, '');
      const [page, ...others] = view ? pageInputs(view, sources) : [];
      // Of two front pages, which no site has, one would stand in for the other.
      if (!view || !page || others.some(({ path }) => path === page.path)) return;
      const index = `${page.path}index.html`;
      const tree = {
        [index]: file(),
        'share/words.jpg': file({ pages: [index] }),
        'share/of-nobody.jpg': file({ pages: ['nowhere/index.html'] }),
        'share/closed-picture.jpg': file({ pages: [index], of: ['no-such-material'] }),
      };
      const all = stillOpen(tree, released, released, { kind: 'stranger' });
      expect(Object.keys(all ?? {})).toEqual([index, 'share/words.jpg']);
      // With the page lowered, nothing of it is left.
      const id = page.input.page.id;
      const lower = {
        ...released,
        pages: released.pages.map((one) => (one.id === id ? { ...one, height: 'private' as const } : one)),
      };
      const left = stillOpen(tree, released, lower, { kind: 'stranger' });
      expect(Object.keys(left ?? {})).toEqual([]);
    }),
  );
});
