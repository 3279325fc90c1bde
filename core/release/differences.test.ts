import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary, type ProjectDraft, marker } from '../access/arbitrary-draft.ts';
import { seenBy } from '../access/seen-by.ts';
import type { Viewer } from '../access/viewer.ts';
import { newPart } from '../parts/new-part.ts';
import type { PageOf } from '../pages/page.ts';
import type { Part } from '../parts/parts.ts';
import type { Draft } from '../sites/site.ts';
import { differences } from './differences.ts';
import { releasable } from './released.ts';

const readers: Viewer[] = [
  { kind: 'stranger' },
  { kind: 'site-link' },
  { kind: 'pass', covers: 'site', downloads: true },
];
const viewsOf = (draft: Draft) => JSON.stringify(readers.map((viewer) => seenBy(draft, viewer)));

describe('releasable', () => {
  test('keeps exactly what readers can see: the views of the copy equal the views of the draft', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => expect(viewsOf(releasable(draft))).toBe(viewsOf(draft))),
    );
  });

  test('holds nothing private', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        const bytes = JSON.stringify(releasable(draft));
        for (const page of draft.pages)
          if (page.height === 'private') expect(bytes).not.toContain(marker.page(page.id));
      }),
    );
  });
});

describe('differences', () => {
  test('are none right after publishing', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => expect(differences(releasable(draft), draft)).toEqual([])),
    );
  });

  test('are none only if every reader sees the same as before', () => {
    fc.assert(
      fc.property(draftArbitrary, draftArbitrary, (live, draft) => {
        const same = { ...draft, site: { ...draft.site, address: live.site.address } };
        if (differences(releasable(live), same).length === 0) expect(viewsOf(same)).toBe(viewsOf(live));
      }),
    );
  });

  test('say in words what changed', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 7 });
    if (!draft) throw new Error('no sample');
    const open: Draft = {
      ...draft,
      site: { ...draft.site, height: 'public', quickLinks: [], linkPictures: false },
      pages: [
        {
          ...(draft.pages[0] as Draft['pages'][number]),
          height: 'public',
          archived: false,
          parent: null,
          title: 'Tide clock',
        },
      ],
    };
    const renamed: Draft = { ...open, pages: open.pages.map((page) => ({ ...page, summary: 'New line' })) };
    expect(differences(releasable(open), renamed)).toEqual([
      {
        kind: 'changed',
        page: 'page-0',
        title: 'Tide clock',
        what: ['summary'],
        opening: false,
        parts: [],
        access: null,
      },
    ]);
    const closed: Draft = { ...open, site: { ...open.site, height: 'private' } };
    expect(differences(releasable(open), closed)).toEqual([
      {
        kind: 'changed',
        page: null,
        title: 'The whole site',
        what: ['Public becomes Private'],
        opening: false,
        parts: [],
        access: { before: 'public', after: 'private' },
      },
    ]);
    expect(differences(null, open).map((one) => one.kind)).toEqual(['changed', 'added']);
  });

  test('name the parts that readers do not have as they are, and no others', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 7 });
    const quote = (id: string, text: string): Part => ({ ...newPart('quote', id), text }) as Part;
    const page = {
      ...(draft?.pages[0] as PageOf<'project'>),
      height: 'public' as const,
      archived: false,
      parent: null,
      opening: { layout: 'words' as const, pictures: [] },
      parts: [quote('part-stays', 'a'), quote('part-says-more', 'b'), quote('part-goes', 'c')],
    };
    const before = {
      ...(draft as ProjectDraft),
      site: { ...(draft as ProjectDraft).site, height: 'public' as const },
      pages: [page],
    };
    const after = {
      ...before,
      pages: [
        {
          ...page,
          parts: [quote('part-new', 'd'), quote('part-stays', 'a'), quote('part-says-more', 'b b')],
        },
      ],
    };
    const [found] = differences(releasable(before), after);
    expect(found).toMatchObject({
      what: ['quote added', 'quote changed', 'quote removed'],
      opening: false,
      parts: ['part-new', 'part-says-more'],
    });
  });
});
