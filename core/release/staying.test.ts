import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary, type ProjectDraft } from '../access/arbitrary-draft.ts';
import { heightsOf } from '../access/heights-of.ts';
import { lowest } from '../access/height.ts';
import { seenBy } from '../access/seen-by.ts';
import type { Viewer } from '../access/viewer.ts';
import type { PageOf } from '../pages/page.ts';
import type { Draft } from '../sites/site.ts';
import { loweredBy } from './ceilings.ts';
import { differences } from './differences.ts';
import { narrowed } from './narrowed.ts';
import { releasable } from './released.ts';
import { withStaying } from './staying.ts';

const readers: Viewer[] = [
  { kind: 'stranger' },
  { kind: 'site-link' },
  { kind: 'pass', covers: 'site', downloads: true },
];

/** Ids of the pages that a reader gets. */
const gets = (draft: Draft, viewer: Viewer): Set<string> =>
  new Set(seenBy(draft, viewer)?.pages.map(({ id }) => id));

/** What readers have of one draft after it was edited into another one. */
function hadAfter(live: Draft, draft: Draft): Draft {
  const released = releasable(live);
  return narrowed(released, loweredBy(released, draft)) ?? released;
}

const [sample] = fc.sample(draftArbitrary, { numRuns: 1, seed: 7 });
if (!sample?.pages[0]) throw new Error('no sample');
const [first] = sample.pages;
const pageAt = (id: string, fields: Partial<PageOf<'project'>> = {}): PageOf<'project'> => ({
  ...first,
  ...{ id, title: id, slug: id, parent: null, height: 'public', archived: false, parts: [], rank: id },
  ...fields,
});
const draftOf = (...pages: PageOf<'project'>[]): ProjectDraft => ({
  ...sample,
  site: { ...sample.site, height: 'public', quickLinks: [] },
  pages,
});
const titles = ({ pages }: Draft) => pages.map(({ title }) => title).sort();

describe('pages that stay as readers have them', () => {
  test('a changed page keeps what it had, the others go as they are', () => {
    const had = draftOf(pageAt('clock', { title: 'Old clock' }), pageAt('lamp', { title: 'Old lamp' }));
    const draft = draftOf(pageAt('clock', { title: 'New clock' }), pageAt('lamp', { title: 'New lamp' }));
    const result = withStaying(releasable(had), draft, new Set(['clock']));
    expect(titles(result)).toEqual(['New lamp', 'Old clock']);
    // What stayed still waits, and nothing else.
    expect(differences(releasable(result), draft).map(({ page }) => page)).toEqual(['clock']);
  });

  test('a new page stays away, a deleted one stays', () => {
    const had = draftOf(pageAt('clock'), pageAt('lamp'));
    const draft = draftOf(pageAt('clock'), pageAt('stool'));
    const result = withStaying(releasable(had), draft, new Set(['lamp', 'stool']));
    expect(releasable(result).pages.map(({ id }) => id)).toEqual(['clock', 'lamp']);
    expect(withStaying(null, draft, new Set(['stool'])).pages.find(({ id }) => id === 'stool')?.height).toBe(
      'private',
    );
  });

  test('a deleted page whose place is gone goes, and one whose address is taken keeps no second one', () => {
    const had = draftOf(
      pageAt('year'),
      pageAt('clock', { parent: 'year' }),
      pageAt('lamp', { slug: 'work' }),
    );
    const draft = draftOf(pageAt('stool', { slug: 'work' }));
    const result = withStaying(releasable(had), draft, new Set(['clock', 'lamp']));
    expect(result.pages.map(({ id }) => id)).toEqual(['stool']);
  });

  test('a page keeps its place unless it does not fit any more', () => {
    const had = draftOf(pageAt('a', { parent: 'b' }), pageAt('b'));
    const draft = draftOf(pageAt('a', { title: 'new' }), pageAt('b', { parent: 'a' }));
    const result = withStaying(releasable(had), draft, new Set(['a']));
    expect(result.pages.find(({ id }) => id === 'a')).toMatchObject({ title: 'a', parent: null });
    const raised = withStaying(releasable(had), draftOf(pageAt('a'), pageAt('b')), new Set(['a']));
    expect(raised.pages.find(({ id }) => id === 'a')).toMatchObject({ parent: 'b' });
  });

  test('a page rises with nothing that is published without it', () => {
    // Its own height was lowered below that of its group, which closed nothing; then the group was raised.
    const had = draftOf(pageAt('year', { height: 'unlisted' }), pageAt('clock', { parent: 'year' }));
    const draft = draftOf(pageAt('year'), pageAt('clock', { parent: 'year', height: 'unlisted' }));
    const result = withStaying(hadAfter(had, draft), draft, new Set(['clock']));
    expect(heightsOf(result).pages.get('clock')).toBe('unlisted');
  });

  test('a material is the one readers have only where no page that goes shows it', () => {
    const shows = (id: string, picture: string) =>
      pageAt(id, { opening: { layout: 'strip', pictures: [picture] } });
    const [one = '', two = ''] = sample.materials
      .filter(({ kind }) => kind === 'picture')
      .map(({ id }) => id);
    const captioned = (words: string, ...pages: PageOf<'project'>[]): Draft => ({
      ...draftOf(...pages),
      materials: sample.materials.map((material) => ({ ...material, caption: words })),
    });
    const had = captioned('old', shows('clock', one), shows('lamp', two));
    const draft = captioned('new', shows('clock', one), shows('lamp', two));
    const caption = (result: Draft, of: string) => result.materials.find(({ id }) => id === of)?.caption;
    const apart = withStaying(releasable(had), draft, new Set(['clock']));
    expect([caption(apart, one), caption(apart, two)]).toEqual(['old', 'new']);
    const both = captioned('new', shows('clock', one), shows('lamp', one));
    expect(caption(withStaying(releasable(had), both, new Set(['clock'])), one)).toBe('new');
    // A deleted one is still there for the page that stays.
    const without = { ...draft, materials: draft.materials.filter(({ id }) => id !== one) };
    expect(caption(withStaying(releasable(had), without, new Set(['clock'])), one)).toBe('old');
  });

  test('nobody gets more than they have now or would get of all of it', () => {
    fc.assert(
      fc.property(draftArbitrary, draftArbitrary, fc.array(fc.nat(8)), (live, draft, stay) => {
        const staying = new Set(stay.map((at) => `page-${at}`));
        const had = hadAfter(live, draft);
        const result = withStaying(had, draft, staying);
        // The site's own height goes with the site's settings.
        const withSite = { ...had, site: { ...had.site, height: draft.site.height } };
        for (const viewer of readers) {
          const allowed = new Set([...gets(withSite, viewer), ...gets(draft, viewer)]);
          for (const id of gets(result, viewer)) expect(allowed).toContain(id);
        }
        const [before, after, now] = [heightsOf(had), heightsOf(draft), heightsOf(result)];
        for (const [page, height] of now.pages)
          if (staying.has(page)) expect(lowest([height, before.pages.get(page) ?? 'private'])).toBe(height);
          // What goes below a page that stays is as low as it.
          else expect(lowest([height, after.pages.get(page) ?? 'private'])).toBe(height);
        for (const [page, parts] of now.parts)
          for (const [part, height] of parts) {
            const most = (staying.has(page) ? before : after).parts.get(page)?.get(part) ?? 'private';
            expect(lowest([height, most])).toBe(height);
          }
      }),
    );
  });

  test('where all stay, every reader has what they had; where none does, what the draft says', () => {
    fc.assert(
      fc.property(draftArbitrary, draftArbitrary, (live, draft) => {
        const had = { ...hadAfter(live, draft), site: draft.site };
        const all = new Set([...had.pages, ...draft.pages].map(({ id }) => id));
        const result = withStaying(had, draft, all);
        for (const viewer of readers)
          for (const id of gets(result, viewer)) expect(gets(had, viewer)).toContain(id);
        expect(withStaying(had, draft, new Set())).toBe(draft);
      }),
    );
  });
});
