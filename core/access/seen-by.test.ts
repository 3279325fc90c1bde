import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type Height, heightLevel } from '../content/height.ts';
import { materialsOf } from '../content/part.ts';
import type { Draft } from '../content/site.ts';
import { draftArbitrary, marker, noteId } from './arbitrary-draft.ts';
import { effectiveHeight } from './effective-height.ts';
import { seenBy } from './seen-by.ts';
import { reachOf, type Viewer } from './viewer.ts';

const pageId = fc.nat(7).map((at) => `page-${at}`);
const viewerArbitrary: fc.Arbitrary<Viewer> = fc.oneof(
  fc.constant<Viewer>({ kind: 'stranger' }),
  fc.constant<Viewer>({ kind: 'site-link' }),
  fc.record({ kind: fc.constant('page-link' as const), page: pageId }),
  fc.constant<Viewer>({ kind: 'pass', covers: 'site' }),
  fc.record({ kind: fc.constant('pass' as const), covers: fc.array(pageId, { maxLength: 2 }) }),
  fc.constant<Viewer>({ kind: 'maker' }),
);

/**
 * The rules of height written a second time, naively and from the top down, as the oracle: walk from the site
 * to each page and part and keep the lowest height met on the way.
 */
function everyLevel(draft: Draft): Map<string, number> {
  const levels = new Map<string, number>();
  const walk = (parent: string | null, above: number): void => {
    for (const page of draft.pages.filter((candidate) => candidate.parent === parent)) {
      const level = Math.min(above, heightLevel(page.height));
      levels.set(page.id, level);
      for (const part of page.parts) levels.set(part.id, Math.min(level, heightLevel(part.height)));
      walk(page.id, level);
    }
  };
  walk(null, heightLevel(draft.site.height));
  return levels;
}

const needed: Record<Viewer['kind'], number> = {
  maker: 0,
  pass: 1,
  'site-link': 2,
  'page-link': 2,
  stranger: 3,
};

describe('seenBy', () => {
  test('no text or file of anything above the viewer’s reach is in the view', () => {
    fc.assert(
      fc.property(draftArbitrary, viewerArbitrary, (draft, viewer) => {
        const bytes = JSON.stringify(seenBy(draft, viewer));
        const levels = everyLevel(draft);
        const shown = new Set<string>();
        for (const page of draft.pages) {
          const open = (levels.get(page.id) ?? 0) >= needed[viewer.kind];
          if (!open) expect(bytes).not.toContain(marker.page(page.id));
          else [...page.opening.pictures, page.cover.picture ?? ''].forEach((id) => shown.add(id));
          for (const part of page.parts) {
            const partOpen = (levels.get(part.id) ?? 0) >= needed[viewer.kind];
            if (!partOpen) expect(bytes).not.toContain(marker.part(part.id));
            else materialsOf(part).forEach((id) => shown.add(id));
          }
        }
        // A note is its maker's alone, whatever points at it.
        shown.delete(noteId);
        for (const material of draft.materials)
          if (!shown.has(material.id)) {
            expect(bytes).not.toContain(marker.material(material.id));
            expect(bytes).not.toContain(material.original);
          }
        // Neither file names nor the questions behind a reflection.
        expect(bytes).not.toContain('secret-');
        expect(bytes).not.toContain('2026-01-01');
        expect(bytes).not.toContain('hasGps');
      }),
      { numRuns: 1500 },
    );
  });

  test('a stranger sees all that is public and a maker sees everything but empty parts', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        const levels = everyLevel(draft);
        const bytes = JSON.stringify(seenBy(draft, { kind: 'stranger' }));
        for (const page of draft.pages)
          if (levels.get(page.id) === 3) expect(bytes).toContain(marker.page(page.id));
        expect(seenBy(draft, { kind: 'maker' })?.pages.length).toBe(draft.pages.length);
      }),
    );
  });

  test('a page its maker set to Unlisted stands in no list of another entrance and opens by its own link', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        for (const page of draft.pages.filter((candidate) => candidate.height === 'unlisted')) {
          for (const kind of ['stranger', 'site-link'] as const)
            expect(JSON.stringify(seenBy(draft, { kind }))).not.toContain(marker.page(page.id));
          const own = seenBy(draft, { kind: 'page-link', page: page.id });
          const open = heightLevel(effectiveHeight(draft, { page: page.id }).height) >= 2;
          expect(own !== null).toBe(open);
          if (own) expect(own.pages[0]?.id).toBe(page.id);
        }
      }),
    );
  });

  test('a page link shows only the page and what hangs below it', () => {
    fc.assert(
      fc.property(draftArbitrary, pageId, (draft, page) => {
        const view = seenBy(draft, { kind: 'page-link', page });
        for (const seen of view?.pages ?? [])
          if (seen.id !== page) expect(view?.pages.some((other) => other.id === seen.parent)).toBe(true);
      }),
    );
  });

  test('raising one height never hides anything from anybody except by moving it out of a list', () => {
    fc.assert(
      fc.property(
        draftArbitrary,
        fc.constantFrom<Viewer>({ kind: 'stranger' }, { kind: 'pass', covers: 'site' }),
        (draft, viewer) => {
          const before = new Set(seenBy(draft, viewer)?.pages.map((page) => page.id));
          const raised = { ...draft, site: { ...draft.site, height: 'public' as Height } };
          const after = new Set(seenBy(raised, viewer)?.pages.map((page) => page.id));
          for (const id of before) expect(after.has(id)).toBe(true);
        },
      ),
    );
  });

  test('does not change the draft and gives the same view twice', () => {
    fc.assert(
      fc.property(draftArbitrary, viewerArbitrary, (draft, viewer) => {
        const before = JSON.stringify(draft);
        const first = JSON.stringify(seenBy(draft, viewer));
        expect(JSON.stringify(seenBy(draft, viewer))).toBe(first);
        expect(JSON.stringify(draft)).toBe(before);
      }),
    );
  });
});

describe('effectiveHeight', () => {
  test('is the lowest on the way down, and names what holds the thing there', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        const levels = everyLevel(draft);
        for (const page of draft.pages) {
          const { chosen, height, heldBy } = effectiveHeight(draft, { page: page.id });
          expect(heightLevel(height)).toBe(levels.get(page.id));
          expect(heldBy !== null).toBe(height !== chosen);
        }
      }),
    );
  });

  test('treats a page in a circle of parents, and an unknown page, as private', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        const [first] = draft.pages;
        if (!first) return;
        const looped = {
          ...draft,
          pages: draft.pages.map((page) => (page.id === first.id ? { ...page, parent: page.id } : page)),
        };
        expect(effectiveHeight(looped, { page: first.id }).height).toBe('private');
        expect(JSON.stringify(seenBy(looped, { kind: 'stranger' }))).not.toContain(marker.page(first.id));
        expect(effectiveHeight(draft, { page: 'nobody' }).height).toBe('private');
      }),
      { numRuns: 30 },
    );
  });

  test('reach falls from maker to stranger', () => {
    const order: Viewer[] = [
      { kind: 'maker' },
      { kind: 'pass', covers: 'site' },
      { kind: 'site-link' },
      { kind: 'stranger' },
    ];
    expect(order.map((viewer) => heightLevel(reachOf(viewer)))).toEqual([0, 1, 2, 3]);
  });

  test('credits name whose work a reader is shown, and nobody behind a part that is hidden from them', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 3 });
    const [page] = draft?.pages ?? [];
    if (!draft || !page) throw new Error('no sample');
    const base = { height: 'public' as const };
    const view = (hidden: 'public' | 'private') =>
      seenBy(
        {
          ...draft,
          site: { ...draft.site, height: 'public' },
          pages: [
            {
              ...page,
              parent: null,
              height: 'public',
              opening: { layout: 'words', pictures: [] },
              parts: [
                { ...base, id: 'part-1', kind: 'picture', material: 'material-1', width: 'wide' },
                { id: 'part-2', height: hidden, kind: 'picture', material: 'material-2', width: 'wide' },
                { ...base, id: 'part-3', kind: 'credits' },
              ],
            },
          ],
        },
        { kind: 'stranger' },
      )?.pages[0]?.parts.at(-1);
    expect(JSON.stringify(view('public'))).toContain('source «material-2»');
    expect(JSON.stringify(view('private'))).toContain('source «material-1»');
    expect(JSON.stringify(view('private'))).not.toContain('«material-2»');
  });
});
