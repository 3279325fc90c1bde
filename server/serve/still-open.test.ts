import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixedDraftArbitrary } from '#core/access/arbitrary-draft.ts';
import type { Height } from '#core/access/height.ts';
import { firstLook } from '#core/look/look.ts';
import type { Page } from '#core/pages/page.ts';
import { nothingShown } from '#core/pages/page-contents.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part, PartKind } from '#core/parts/parts.ts';
import { firstArrangement } from '#core/sites/arrangement.ts';
import type { Draft } from '#core/sites/site.ts';
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

test('a résumé is closed with the page, and with every fact about its maker that stands on another one', () => {
  const part = (kind: PartKind, id: string, more: object) =>
    ({ ...newPart(kind, id), height: 'public', ...more }) as Part;
  const page = (id: string, kind: Page['kind'], parts: Part[]) =>
    ({
      ...{ id, kind, title: id, slug: id, rank: id, parent: null, height: 'public' },
      ...{ archived: false, inMenu: null, language: null, ...nothingShown, parts },
    }) as Page;
  const name = part('full-name', 'part-name', { text: 'Wren Tolliver' });
  const draft = (height: Height): Draft => ({
    site: {
      ...{ id: 'site-1', title: 'Wren', height: 'public', address: 'wren', searchEngines: false },
      ...{ look: firstLook, evidenceWanted: 3, ...firstArrangement },
    },
    pages: [
      page('home', 'home', []),
      page('about', 'about', [{ ...name, height }]),
      page('resume', 'resume', [
        part('version', 'for-all', { entries: ['entry-1'] }),
        part('entry', 'entry-1', { title: 'Saturday help' }),
      ]),
    ],
    materials: [],
  });
  const tree = {
    'resume/index.html': file(),
    'resume/resume.pdf': file({ pages: ['resume/index.html'] }),
  };
  const open = (height: Height) =>
    Object.keys(stillOpen(tree, draft('public'), draft(height), { kind: 'stranger' }) ?? {});
  expect(open('public')).toEqual(Object.keys(tree));
  expect(open('private')).toEqual([]);
});
