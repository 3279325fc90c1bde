import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary, type ProjectDraft, marker } from '../access/arbitrary-draft.ts';
import { heightsOf } from '../access/heights-of.ts';
import { seenBy } from '../access/seen-by.ts';
import type { Viewer } from '../access/viewer.ts';
import { heightLevel, type Height } from '../access/height.ts';
import { newPart } from '../parts/new-part.ts';
import type { Draft } from '../sites/site.ts';
import type { PageOf } from '../pages/page.ts';
import { ceilingsAfter, loweredBy } from './ceilings.ts';
import { narrowed, siteReach } from './narrowed.ts';
import { releasable } from './released.ts';

const readers: Viewer[] = [
  { kind: 'stranger' },
  { kind: 'site-link' },
  { kind: 'pass', covers: 'site', downloads: true },
];
const bytesOf = (draft: Draft) => JSON.stringify(readers.map((viewer) => seenBy(draft, viewer)));

/** A page of a draft with one thing changed. */
const withPage = (draft: ProjectDraft, id: string, change: Partial<PageOf<'project'>>): ProjectDraft => ({
  ...draft,
  pages: draft.pages.map((page) => (page.id === id ? { ...page, ...change } : page)),
});

describe('narrowed', () => {
  test('leaves nothing above its ceiling, shows nobody more than before, and settles after one step', () => {
    fc.assert(
      fc.property(draftArbitrary, draftArbitrary, (live, draft) => {
        const released = releasable(live);
        const ceilings = loweredBy(live, { ...draft, site: live.site });
        const result = narrowed(released, ceilings) ?? released;
        for (const { pages, parts } of [heightsOf(result)]) {
          for (const [id, height] of pages)
            expect(heightLevel(height)).toBeLessThanOrEqual(heightLevel(ceilings.get(id) ?? 'public'));
          for (const ofPage of parts.values())
            for (const [id, height] of ofPage)
              expect(heightLevel(height)).toBeLessThanOrEqual(heightLevel(ceilings.get(id) ?? 'public'));
        }
        for (const viewer of readers) {
          const before = new Set(seenBy(released, viewer)?.pages.map(({ id }) => id));
          for (const page of seenBy(result, viewer)?.pages ?? []) expect(before.has(page.id)).toBe(true);
        }
        expect(narrowed(result, ceilings)).toBeNull();
      }),
    );
  });

  test('is null when nothing was lowered, and after publishing', () => {
    fc.assert(
      fc.property(draftArbitrary, (live) => {
        expect(narrowed(releasable(live), new Map())).toBeNull();
        expect(loweredBy(live, live).size).toBe(0);
        expect(narrowed(releasable(live), ceilingsAfter(new Map(), live))).toBeNull();
      }),
    );
  });

  test('the site is closed by its own ceiling, and its release stays as it is', () => {
    fc.assert(
      fc.property(draftArbitrary, fc.constantFrom<Height>('private', 'unlisted'), (draft, height) => {
        const live = { ...draft, site: { ...draft.site, height: 'public' as const } };
        const ceilings = new Map([[draft.site.id, height]]);
        expect(siteReach(live, ceilings)).toBe(height);
        expect(siteReach(live, new Map())).toBe('public');
        expect(narrowed(live, ceilings)).toBeNull();
      }),
      { numRuns: 20 },
    );
  });

  test('a material that is closed is in no view, wherever it stood', () => {
    fc.assert(
      fc.property(draftArbitrary, fc.nat(7), (draft, at) => {
        const id = `material-${at}`;
        const lower = narrowed(draft, new Map([[id, 'private']]));
        expect(lower).not.toBeNull();
        expect(bytesOf(lower ?? draft)).not.toContain(marker.material(id));
      }),
    );
  });
});

/** Three pages, all public: one in another, and one by itself; each with one part. */
function smallSite(): ProjectDraft {
  const [sample] = fc.sample(draftArbitrary, { numRuns: 1, seed: 11 });
  const [page] = sample?.pages ?? [];
  if (!sample || !page) throw new Error('no sample');
  const one = (id: string, parent: string | null): ProjectDraft['pages'][number] => ({
    ...page,
    id,
    parent,
    slug: id,
    height: 'public',
    archived: false,
    cover: { picture: null, focus: null },
    opening: { layout: 'words', pictures: [] },
    parts: [newPart('picture', `${id}-part`, ['material-1'])],
  });
  return {
    ...sample,
    site: { ...sample.site, height: 'public' },
    pages: [one('group', null), one('inner', 'group'), one('alone', null)],
  };
}

describe('loweredBy', () => {
  const site = smallSite();
  const lowered = (after: ProjectDraft) => Object.fromEntries(loweredBy(site, after));

  test.each<[string, ProjectDraft, Record<string, Height>]>([
    [
      'a group that is lowered, with all below it',
      withPage(site, 'group', { height: 'unlisted' }),
      { group: 'unlisted', 'group-part': 'unlisted', inner: 'unlisted', 'inner-part': 'unlisted' },
    ],
    [
      'a page that is put away, whatever its height says',
      withPage(site, 'alone', { archived: true }),
      { alone: 'private', 'alone-part': 'private' },
    ],
    [
      'a page moved below a parent that is not there',
      withPage(site, 'alone', { parent: 'nobody' }),
      { alone: 'private', 'alone-part': 'private' },
    ],
    [
      'the site, and nothing below it',
      { ...site, site: { ...site.site, height: 'invited' } },
      { 'site-1': 'invited' },
    ],
    ['what goes away while everybody could see it', { ...site, pages: site.pages.slice(0, 2) }, {}],
  ])('%s', (_, after, expected) => expect(lowered(after)).toEqual(expected));

  test('a page moved below a Private one is closed, and so is a part moved to one', () => {
    const shut = withPage(site, 'group', { height: 'private' });
    const moved = withPage(shut, 'alone', { parent: 'group' });
    expect(Object.fromEntries(loweredBy(shut, moved))).toEqual({
      alone: 'private',
      'alone-part': 'private',
    });
    const part = newPart('picture', 'alone-part', ['material-1']);
    const partMoved = withPage(withPage(shut, 'alone', { parts: [] }), 'group', {
      parts: [...(shut.pages[0]?.parts ?? []), part],
    });
    expect(Object.fromEntries(loweredBy(shut, partMoved))).toEqual({ 'alone-part': 'private' });
  });

  test('what is deleted keeps the height it had, and a part that comes again lower is lowered', () => {
    const shut = withPage(site, 'alone', { height: 'private' });
    expect(Object.fromEntries(loweredBy(shut, { ...shut, pages: shut.pages.slice(0, 2) }))).toEqual({
      alone: 'private',
      'alone-part': 'private',
    });
    const without = withPage(site, 'alone', { parts: [] });
    const again = withPage(site, 'alone', {
      parts: [{ ...newPart('picture', 'alone-part', ['material-1']), height: 'private' }],
    });
    expect(Object.fromEntries(loweredBy(without, again))).toEqual({ 'alone-part': 'private' });
  });

  test('publishing raises to what was published, and leaves what was deleted where it was', () => {
    const shut = withPage(site, 'alone', { height: 'unlisted' });
    const before = new Map<string, Height>([
      ['alone', 'private'],
      ['group', 'private'],
      ['deleted', 'private'],
    ]);
    expect(Object.fromEntries(ceilingsAfter(before, shut))).toEqual({
      alone: 'unlisted',
      'alone-part': 'unlisted',
      deleted: 'private',
    });
  });
});
