import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary, marker, mixedDraftArbitrary, type ProjectDraft } from '../access/arbitrary-draft.ts';
import { seenBy } from '../access/seen-by.ts';
import type { Viewer } from '../access/viewer.ts';
import { emptyContents } from '../pages/page-contents.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import { inWallOrder } from '../pages/wall-order.ts';
import { newPart } from '../parts/new-part.ts';
import type { Page, PageOf } from '../pages/page.ts';
import type { Part } from '../parts/parts.ts';
import type { Draft, Site } from '../sites/site.ts';
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
        expect(bytes).not.toContain(marker.waiver);
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

  /** What readers notice: of the order of the wall only what hangs there, and quick links only where they stand. */
  const noticedOf = (draft: Draft) =>
    JSON.stringify(
      readers.map((viewer) => {
        const view = seenBy(draft, viewer);
        if (!view) return null;
        const pages = view.pages.map((page) => ({
          ...page,
          onWall: page.onWall && rulesOfPage(page).isWork,
        }));
        const wall = inWallOrder(
          pages.filter(({ onWall }) => onWall),
          view.site,
        );
        return { ...view, pages, site: { ...view.site, wallOrder: wall.map(({ id }) => id) } };
      }),
    );

  /** Another value of everything that is said of a site; a field that is missing here does not compile. */
  const otherwise = (site: Site): { [K in keyof Omit<Site, 'id' | 'address'>]: Site[K] } => ({
    title: 'Another name',
    height: site.height === 'public' ? 'invited' : 'public',
    searchEngines: !site.searchEngines,
    look: { ...site.look, theme: site.look.theme === 'signal' ? 'broadsheet' : 'signal' },
    evidenceWanted: site.evidenceWanted + 1,
    by: 'Somebody else',
    menu: site.menu === 'line' ? 'side' : 'line',
    wall: site.wall === 'rows' ? 'groups' : 'rows',
    wallOrder: [...site.wallOrder, 'page-0', 'page-3'].reverse(),
    offWall: ['page-1', 'page-2'],
    wallLabels: site.wallLabels === 'below' ? 'over' : 'below',
    wallDates: !site.wallDates,
    wallTags: !site.wallTags,
    welcome: !site.welcome,
    language: site.language === 'fr' ? 'en' : 'fr',
    quickLinks: [
      {
        id: 'link-x',
        name: 'X',
        to: 'https://x.example/',
        newWindow: false,
        inMenu: true,
        atEnd: 'every',
        pages: [],
      },
    ],
    contact: 'https://mail.example/',
    linkPictures: !site.linkPictures,
    underAge: !site.underAge,
    rights: 'CC-BY-4.0',
    phases: site.phases.map((phase) => ({ ...phase, name: `${phase.name} again` })),
    notMoments: ['material-1'],
    waived: [{ key: 'alt page-1', of: '0'.repeat(16), reason: 'A pattern.' }],
    lists: [{ id: 'a-list-1', name: 'For the show', by: '', evidence: 4, lines: [] }],
  });

  test('tell of every setting of the site that any reader notices', () => {
    const noticed = new Set<string>();
    fc.assert(
      fc.property(fc.oneof(draftArbitrary, mixedDraftArbitrary), (live: Draft) => {
        for (const [field, value] of Object.entries(otherwise(live.site))) {
          const draft = { ...live, site: { ...live.site, [field]: value } };
          if (noticedOf(draft) === noticedOf(live)) continue;
          noticed.add(field);
          expect({ field, told: differences(releasable(live), draft).length > 0 }).toEqual({
            field,
            told: true,
          });
        }
      }),
    );
    // It is a check of something: most of them are seen by somebody in these sites.
    expect(noticed.size).toBeGreaterThan(14);
  });

  test('tell of an order that only shows where pages hang below one another', () => {
    // By rank alone page-b comes first already; in reading order it comes after what hangs below page-a.
    const [sample] = fc.sample(draftArbitrary, { seed: 1, numRuns: 1 }) as [Draft];
    const page = (id: string, kind: Page['kind'], rank: string, parent: string | null): Page =>
      ({
        ...emptyContents[kind],
        ...{ kind, inMenu: true, language: null, archived: false },
        ...{ id, rank, parent, slug: id, title: id, height: 'public' },
      }) as Page;
    const pages = [
      page('page-a', 'plain', 'a0', null),
      page('page-b', 'project', 'a1', null),
      page('page-c', 'project', 'a2', 'page-a'),
    ];
    const draft = { ...sample, pages, site: { ...sample.site, height: 'public' as const, wallOrder: [] } };
    const inOrder = { ...draft, site: { ...draft.site, wallOrder: ['page-b'] } };
    expect(differences(releasable(draft), inOrder).flatMap(({ what }) => what)).toContain(
      'what hangs on the front page, or in which order',
    );
  });

  test('tell of everything of a page that any reader notices', () => {
    const noticed = new Set<string>();
    fc.assert(
      fc.property(mixedDraftArbitrary, mixedDraftArbitrary, fc.nat(7), (live, other, at) => {
        const [page, from] = [live.pages[at], other.pages[at]];
        if (!page || !from) return;
        for (const [field, value] of Object.entries(from)) {
          if (['id', 'kind', 'slug', 'parent', 'rank'].includes(field) || !(field in page)) continue;
          const pages = live.pages.map((one) => (one === page ? ({ ...one, [field]: value } as Page) : one));
          const draft = { ...live, pages };
          if (noticedOf(draft) === noticedOf(live)) continue;
          noticed.add(field);
          expect({ field, told: differences(releasable(live), draft).length > 0 }).toEqual({
            field,
            told: true,
          });
        }
      }),
    );
    expect([...noticed].sort()).toEqual(expect.arrayContaining(['cover', 'height', 'opening', 'parts']));
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
