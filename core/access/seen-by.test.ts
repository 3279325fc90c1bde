import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type Height, heightLevel } from './height.ts';
import { materialsOn } from '../pages/materials-on.ts';
import { newPart } from '../parts/new-part.ts';
import { type Page, shownOn } from '../pages/page.ts';
import { materialsOf } from '../parts/materials-of.ts';
import type { Moment } from '../parts/moment.ts';
import type { Part } from '../parts/parts.ts';
import type { Draft } from '../sites/site.ts';
import { draftArbitrary, mixedDraftArbitrary, marker, noteId } from './arbitrary-draft.ts';
import { effectiveHeight } from './effective-height.ts';
import { seenBy } from './seen-by.ts';
import { reachOf, type Viewer } from './viewer.ts';

/** Mutants are tried with fewer of them, so that all of them can be. */
const runs = (count: number) => Number(process.env['PROPERTY_RUNS'] ?? count);

const pageId = fc.nat(7).map((at) => `page-${at}`);
const viewerArbitrary: fc.Arbitrary<Viewer> = fc.oneof(
  fc.constant<Viewer>({ kind: 'stranger' }),
  fc.constant<Viewer>({ kind: 'site-link' }),
  fc.record({ kind: fc.constant('page-link' as const), page: pageId }),
  fc.constant<Viewer>({ kind: 'pass', covers: 'site', downloads: true }),
  fc.record({
    kind: fc.constant('pass' as const),
    covers: fc.array(pageId, { maxLength: 2 }),
    downloads: fc.boolean(),
  }),
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
      const level = page.archived ? 0 : Math.min(above, heightLevel(page.height));
      levels.set(page.id, level);
      for (const part of shownOn(page).parts) {
        const ofPart = Math.min(level, heightLevel(part.height));
        levels.set(part.id, ofPart);
        if (part.kind === 'table')
          for (const column of part.columns)
            levels.set(column.id, Math.min(ofPart, heightLevel(column.height)));
      }
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

/** Whether a reader would see nothing of a part, told a second time and by what is written on it. */
const isEmpty = (part: Part): boolean => {
  switch (part.kind) {
    case 'compare':
      return part.before === null || part.after === null;
    case 'picture':
    case 'document':
    case 'sound':
    case 'clip':
    case 'link':
      return part.material === null;
    case 'gallery':
      return part.pictures.length === 0;
    default:
      return false;
  }
};

/** Moments that a page of a view draws, told a second time: those of the page and of what hangs below it that the view may have. */
function momentsOn(shown: readonly Page[], levels: Map<string, number>, least: number, on: Page): Moment[] {
  const below = shown.filter(({ parent }) => parent === on.id);
  return [
    ...shownOn(on).parts.filter(
      (part): part is Moment => part.kind === 'moment' && (levels.get(part.id) ?? 0) >= least,
    ),
    ...below.flatMap((page) => momentsOn(shown, levels, least, page)),
  ];
}

/** The rules of scope and reach written a second time: page by page, and each way in by itself. */
function expectedOf(
  draft: Draft,
  viewer: Viewer,
): Record<string, { parts: string[]; all: Moment[]; moments: Moment[] }> {
  const levels = everyLevel(draft);
  const site = heightLevel(draft.site.height);
  const least = needed[viewer.kind];
  const own = (page: Page) => (page.archived ? 'private' : page.height);
  /** The page itself and everything it stands in, from the inside out. */
  const upwards = (page: Page): Page[] => {
    const parent = draft.pages.find(({ id }) => id === page.parent);
    return parent ? [page, ...upwards(parent)] : [page];
  };
  const covered = (page: Page): boolean => {
    const up = upwards(page);
    if (viewer.kind === 'site-link') return up.every((one) => own(one) === 'public');
    if (viewer.kind === 'page-link') {
      const at = up.findIndex(({ id }) => id === viewer.page);
      return at >= 0 && up.slice(0, at).every((one) => own(one) === 'public');
    }
    if (viewer.kind === 'pass' && viewer.covers !== 'site')
      return up.some(({ id }) => viewer.covers.includes(id));
    return true;
  };
  const shown = draft.pages.filter((page) => (levels.get(page.id) ?? 0) >= least && covered(page));
  if (site < least) return {};
  if (viewer.kind === 'page-link' && !shown.some(({ id }) => id === viewer.page)) return {};
  const everything = shown.flatMap((page) => momentsOn([], levels, least, page));
  return Object.fromEntries(
    shown.map((page) => {
      const { opening, ...own } = shownOn(page);
      const all = page.kind === 'home' ? everything : momentsOn(shown, levels, least, page);
      const parts = own.parts
        .filter((part) => !isEmpty(part) && (levels.get(part.id) ?? 0) >= least)
        // Moments stand in process parts, and those where there are any.
        .filter(
          ({ kind }) => kind !== 'moment' && ((kind !== 'process' && kind !== 'decisions') || all.length > 0),
        )
        // Of portraits and versions the first; the places here are all equally exact.
        .filter(
          ({ kind }, at, all) =>
            !['portrait', 'place', 'version'].includes(kind) ||
            all.findIndex((one) => one.kind === kind) === at,
        )
        // Entries stand behind their version, and nowhere without one.
        .flatMap((part, _, all) => {
          const entries = all.filter(({ kind }) => kind === 'entry');
          return part.kind === 'entry' ? [] : part.kind === 'version' ? [part, ...entries] : [part];
        });
      const moments = parts.some(({ kind }) => kind === 'process') ? all : [];
      const cover = own.cover.picture;
      // Moments do not count for covers.
      const elsewhere = own.parts.filter(({ kind }) => kind !== 'moment').flatMap(materialsOf);
      const keptCover =
        cover !== null &&
        (opening.pictures.includes(cover) ||
          parts.flatMap(materialsOf).includes(cover) ||
          !elsewhere.includes(cover));
      // All but the note are somebody else's work, so a page that shows anything has somebody to name.
      const ground = draft.site.look.ground.picture;
      const isPicture = draft.materials.some(({ id, kind }) => id === ground && kind === 'picture');
      const names = [
        ...[...opening.pictures, ...parts.flatMap(materialsOf)],
        ...moments.flatMap(materialsOf),
        ...(keptCover ? [cover] : []),
        ...(ground !== null && isPicture ? [ground] : []),
      ].some((id) => id !== noteId);
      const ids = parts.filter(({ kind }) => kind !== 'credits' || names).map(({ id }) => id);
      const isDrawn = parts.some(({ kind }) => kind === 'process' || kind === 'decisions');
      return [page.id, { parts: ids, all: isDrawn ? all : [], moments }];
    }),
  );
}

describe('seenBy', () => {
  test('no text or file of anything above the viewer’s reach is in the view', () => {
    fc.assert(
      fc.property(mixedDraftArbitrary, viewerArbitrary, (draft, viewer) => {
        const view = seenBy(draft, viewer);
        const bytes = JSON.stringify(view);
        const levels = everyLevel(draft);
        const isOpen = (id: string) => (levels.get(id) ?? 0) >= needed[viewer.kind];
        const drawn = Object.values(expectedOf(draft, viewer)).flatMap(({ moments }) => moments);
        // A table of decisions says no more of a moment than what it led to is called.
        const isDrawn = new Set(
          Object.values(expectedOf(draft, viewer)).flatMap(({ all }) => all.map(({ id }) => id)),
        );
        const shown = new Set(drawn.flatMap(materialsOf));
        // Neither file names nor the questions behind a reflection nor why something is let stand, for anybody.
        const secrets = ['secret-', '2026-01-01', 'hasGps', marker.waiver, marker.list];
        for (const page of draft.pages) {
          const { opening, cover, parts } = shownOn(page);
          if (!isOpen(page.id)) secrets.push(marker.page(page.id));
          else [...opening.pictures, cover.picture ?? ''].forEach((id) => shown.add(id));
          for (const part of parts) {
            const isThere = part.kind === 'moment' ? isDrawn.has(part.id) : isOpen(part.id);
            if (!isThere) secrets.push(marker.part(part.id));
            else materialsOf(part).forEach((id) => shown.add(id));
            if (part.kind !== 'table') continue;
            for (const { id } of part.columns) if (!isOpen(id)) secrets.push(marker.part(id));
          }
        }
        // What a site lies on is shown with any page of it.
        const ground = draft.site.look.ground.picture;
        if (view && view.pages.length > 0 && ground !== null) shown.add(ground);
        // A note is its maker's alone, whatever points at it.
        shown.delete(noteId);
        // The still of a clip is shown with it.
        if (shown.has('material-5')) shown.add('material-0');
        for (const { id, original } of draft.materials)
          if (!shown.has(id)) secrets.push(marker.material(id), original);
        expect(secrets.filter((secret) => bytes.includes(secret))).toEqual([]);
      }),
      { numRuns: runs(1500) },
    );
  });

  test('shows exactly the pages and parts that lie in the viewer’s scope and reach, and credits where nobody else does', () => {
    fc.assert(
      fc.property(mixedDraftArbitrary, viewerArbitrary, (draft, viewer) => {
        const expected = expectedOf(draft, viewer);
        const view = seenBy(draft, viewer);
        expect(
          Object.fromEntries((view?.pages ?? []).map((page) => [page.id, page.parts.map(({ id }) => id)])),
        ).toEqual(Object.fromEntries(Object.entries(expected).map(([id, { parts }]) => [id, parts])));
        for (const page of view?.pages ?? [])
          for (const part of page.parts)
            if (part.kind === 'process' || part.kind === 'decisions') {
              const drawn = part.kind === 'process' ? part.moments : part.rows;
              expect(drawn.map(({ id }) => id).sort()).toEqual(
                expected[page.id]?.all.map(({ id }) => id).sort(),
              );
            }
        for (const page of view?.pages ?? []) {
          const own = page.parts.some(({ kind }) => kind === 'credits');
          if (own) expect(page.credits).toEqual([]);
          // Every work shown here is somebody else's: it is named by a part, or at the end of the page.
          const shown = materialsOn(page).filter((id) => id !== noteId && view?.materials[id]);
          for (const id of shown)
            expect(JSON.stringify([page.credits, page.parts])).toContain(`source ${marker.material(id)}`);
        }
      }),
      { numRuns: runs(800) },
    );
  });

  test('a parent that the viewer is shown is kept, and one they are not is not named', () => {
    fc.assert(
      fc.property(draftArbitrary, viewerArbitrary, (draft, viewer) => {
        const view = seenBy(draft, viewer);
        const shown = new Set(view?.pages.map(({ id }) => id));
        for (const page of view?.pages ?? []) {
          const parent = draft.pages.find(({ id }) => id === page.id)?.parent ?? null;
          const wanted = parent !== null && shown.has(parent) && page.id !== view?.entry ? parent : null;
          expect(page.parent).toBe(wanted);
        }
        // Parents first, and brothers and sisters by rank.
        const at = new Map(view?.pages.map(({ id }, place) => [id, place]));
        for (const page of view?.pages ?? [])
          if (page.parent !== null) expect(at.get(page.parent) ?? 99).toBeLessThan(at.get(page.id) ?? -1);
      }),
      { numRuns: 300 },
    );
  });

  test('every kind of material is shown without what is its maker’s alone, with its transcript', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 21 });
    const [page] = draft?.pages ?? [];
    if (!draft || !page) throw new Error('no sample');
    const kinds = ['picture', 'document', 'sound', 'clip', 'link'] as const;
    const parts = draft.materials
      .filter(({ kind }) => kind !== 'note')
      .map((one): Part => newPart(one.kind === 'note' ? 'words' : one.kind, `part-${one.id}`, [one.id]));
    const view = seenBy(
      {
        ...draft,
        site: { ...draft.site, height: 'public' },
        pages: [{ ...page, parent: null, height: 'public', archived: false, parts }],
      },
      { kind: 'stranger' },
    );
    const seen = Object.values(view?.materials ?? {});
    for (const kind of kinds) expect(seen.some((one) => one.kind === kind)).toBe(true);
    const members = (kind: string) => Object.keys(seen.find((one) => one.kind === kind) ?? {}).sort();
    const base = ['alt', 'caption', 'facts', 'fixes', 'id', 'kind', 'original', 'title'];
    expect(members('picture')).toEqual(base);
    expect(members('document')).toEqual([...base, 'shownBy'].sort());
    expect(members('sound')).toEqual([...base, 'bytes', 'transcript'].sort());
    expect(members('clip')).toEqual([...base, 'bytes', 'shownBy', 'transcript'].sort());
    expect(members('link')).toEqual([...base, 'shownBy', 'transcript'].sort());
    const clip = seen.find((one) => one.kind === 'clip');
    expect(clip?.kind === 'clip' && clip.shownBy?.id).toBe('material-0');
    expect(JSON.stringify(seen)).toContain('said «material-4»');
    expect(JSON.stringify(seen)).not.toContain('readAt');
  });

  test('a cover that is no picture is no cover, whoever looks', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 21 });
    const [page] = draft?.pages ?? [];
    if (!draft || !page) throw new Error('no sample');
    const coverOf = (picture: string, viewer: Viewer) =>
      seenBy(
        {
          ...draft,
          site: { ...draft.site, height: 'public' },
          pages: [
            {
              ...page,
              parent: null,
              height: 'public',
              archived: false,
              cover: { ...page.cover, picture },
              opening: { layout: 'words', pictures: [] },
              parts: [],
            },
          ],
        },
        viewer,
      )?.pages[0]?.cover.picture;
    for (const viewer of [{ kind: 'stranger' }, { kind: 'maker' }] as const)
      for (const material of draft.materials)
        expect(coverOf(material.id, viewer)).toBe(material.kind === 'picture' ? material.id : null);
  });

  test('pages come in reading order: what stands in a page right after it, whatever its rank', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 21 });
    const [page] = draft?.pages ?? [];
    if (!draft || !page) throw new Error('no sample');
    const at = (id: string, rank: string, parent: string | null): Page => ({
      ...page,
      id,
      rank,
      parent,
      height: 'public',
      archived: false,
    });
    const pages = [at('inside', 'a', 'first'), at('second', 'm', null), at('first', 'b', null)];
    const view = seenBy({ ...draft, site: { ...draft.site, height: 'public' }, pages }, { kind: 'stranger' });
    expect(view?.pages.map(({ id }) => id)).toEqual(['first', 'inside', 'second']);
  });

  test('an opening shows its pictures, and what is its maker’s alone or gone is left out', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 21 });
    const [page] = draft?.pages ?? [];
    const picture = draft?.materials.find(({ kind }) => kind === 'picture')?.id;
    if (!draft || !page || picture === undefined) throw new Error('no sample');
    const opening = { layout: 'full' as const, pictures: [noteId, picture, 'gone'] };
    const view = seenBy(
      { ...draft, pages: [{ ...page, parent: null, opening, parts: [] }] },
      { kind: 'maker' },
    );
    expect(view?.pages[0]?.opening.pictures).toEqual([picture]);
    expect(Object.keys(view?.materials ?? {})).toContain(picture);
  });

  test('what a newer version wrote, and nobody here knows, is not shown', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        const newer = {
          ...draft,
          pages: draft.pages.map((page) => ({
            ...page,
            parts: page.parts.map((part) => ({ ...part, kind: 'hologram' }) as unknown as Part),
          })),
          materials: draft.materials.map((one) => ({ ...one, kind: 'scent' }) as unknown as typeof one),
        };
        const view = seenBy(newer, { kind: 'maker' });
        expect(view?.pages.flatMap(({ parts }) => parts)).toEqual([]);
        expect(view?.materials).toEqual({});
      }),
      { numRuns: 50 },
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

  test('a pass that covers no open page opens nothing, and the maker’s own view of an empty site is empty', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 21 });
    if (!draft) throw new Error('no sample');
    const open = { ...draft, site: { ...draft.site, height: 'public' as const } };
    expect(seenBy(open, { kind: 'pass', covers: ['nobody'], downloads: true })).toBeNull();
    const bare = { ...open, pages: [] };
    expect(seenBy(bare, { kind: 'pass', covers: 'site', downloads: true })).toBeNull();
    expect(seenBy(bare, { kind: 'maker' })?.pages).toEqual([]);
    expect(seenBy(bare, { kind: 'stranger' })?.pages).toEqual([]);
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
        fc.constantFrom<Viewer>({ kind: 'stranger' }, { kind: 'pass', covers: 'site', downloads: true }),
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

  test('of a part is the lowest on its way, with what holds it; put away says so; what is not there is private', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        const levels = everyLevel(draft);
        expect(effectiveHeight(draft, {})).toEqual({
          chosen: draft.site.height,
          height: draft.site.height,
          heldBy: null,
        });
        for (const page of draft.pages) {
          for (const part of page.parts) {
            const { chosen, height, heldBy } = effectiveHeight(draft, { page: page.id, part: part.id });
            expect(chosen).toBe(part.height);
            expect(heightLevel(height)).toBe(levels.get(part.id));
            expect(heldBy !== null).toBe(height !== chosen);
          }
          const nowhere = { chosen: 'private', height: 'private', heldBy: null };
          expect(effectiveHeight(draft, { page: page.id, part: 'nobody' })).toEqual(nowhere);
          expect(effectiveHeight(draft, { page: 'nobody', part: 'nobody' })).toEqual(nowhere);
          const open = {
            site: { ...draft.site, height: 'public' as const },
            pages: [{ ...page, parent: null, height: 'public' as const, archived: true }],
          };
          expect(effectiveHeight(open, { page: page.id })).toEqual({
            chosen: 'public',
            height: 'private',
            heldBy: { kind: 'put-away', id: page.id, title: page.title },
          });
          const held = {
            site: { ...draft.site, height: 'unlisted' as const },
            pages: [{ ...page, parent: null, height: 'public' as const, archived: false }],
          };
          expect(effectiveHeight(held, { page: page.id }).heldBy?.kind).toBe('site');
          const low = {
            ...held,
            site: open.site,
            pages: [{ ...page, parent: null, height: 'private' as const, archived: false }],
          };
          for (const part of page.parts.filter(({ height }) => height !== 'private'))
            expect(effectiveHeight(low, { page: page.id, part: part.id }).heldBy).toMatchObject({
              kind: 'page',
              id: page.id,
            });
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
        const nowhere = { chosen: 'private', height: 'private', heldBy: null };
        expect(effectiveHeight(looped, { page: first.id })).toEqual(nowhere);
        expect(JSON.stringify(seenBy(looped, { kind: 'stranger' }))).not.toContain(marker.page(first.id));
        expect(effectiveHeight(draft, { page: 'nobody' })).toEqual(nowhere);
      }),
      { numRuns: 30 },
    );
  });

  test('reach falls from maker to stranger', () => {
    const order: Viewer[] = [
      { kind: 'maker' },
      { kind: 'pass', covers: 'site', downloads: true },
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
                { ...base, id: 'part-1', kind: 'picture', material: 'material-1', width: 'wide', link: '' },
                {
                  id: 'part-2',
                  height: hidden,
                  kind: 'picture',
                  material: 'material-2',
                  width: 'wide',
                  link: '',
                },
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
