import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { pageSchema, type Page } from '../pages/page.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part } from '../parts/parts.ts';
import type { Draft } from '../sites/site.ts';
import { draftArbitrary } from './arbitrary-draft.ts';
import { seenBy, type SeenPart, type SiteView } from './seen-by.ts';
import type { Viewer } from './viewer.ts';

const [sample] = fc.sample(draftArbitrary, { numRuns: 1, seed: 3 });
if (!sample) throw new Error('No draft to begin with.');

const part = (kind: Part['kind'], id: string, more: object = {}): Part =>
  ({ ...newPart(kind, id), height: 'invited', ...more }) as Part;
const page = (kind: Page['kind'], id: string, more: object = {}): Page =>
  pageSchema.parse({
    ...sample.pages[0],
    ...{ id, kind, slug: id, title: id, height: 'invited', rank: 'a0', parent: null, archived: false },
    ...{ parts: [], leadsTo: 'https://elsewhere.example/', newWindow: false, ...more },
  });

const entry = part('entry', 'entry-one', { title: 'Net maker' });
/** A résumé with a version for the yard and one for everybody, in a group with a project; a heading over another one. */
const draft: Draft = {
  site: { ...sample.site, height: 'public', wallOrder: [], offWall: [], quickLinks: [] },
  materials: sample.materials,
  pages: [
    page('home', 'page-front'),
    page('group', 'page-group'),
    page('resume', 'page-resume', {
      parent: 'page-group',
      parts: [
        entry,
        part('version', 'version-yard', { name: 'For the yard', entries: ['entry-one'] }),
        part('version', 'version-all', { name: 'For all', entries: ['entry-one'], height: 'unlisted' }),
        part('version', 'version-bare', { name: 'Bare', entries: [] }),
        part('version', 'version-mine', { name: 'Mine', entries: ['entry-one'], height: 'private' }),
      ],
    }),
    page('project', 'page-clock', { parent: 'page-group' }),
    page('heading', 'page-heading'),
    page('project', 'page-lamp', { parent: 'page-heading' }),
    page('project', 'page-hidden', { height: 'private' }),
  ],
};
const holding = (covers: 'site' | string[], downloads = true): SiteView | null =>
  seenBy(draft, { kind: 'pass', covers, downloads } satisfies Viewer);
const idsOf = (view: SiteView | null) => view?.pages.map(({ id }) => id).sort() ?? null;
const versionsOf = (view: SiteView | null) =>
  view?.pages.flatMap(({ parts }) => parts).flatMap(({ kind, id }) => (kind === 'version' ? [id] : []));

describe('a pass', () => {
  test('for the whole site opens all that reaches the invited, in lists or not', () => {
    const view = holding('site');
    expect(idsOf(view)).toEqual(
      draft.pages
        .map(({ id }) => id)
        .filter((id) => id !== 'page-hidden')
        .sort(),
    );
    expect([view?.entry, view?.led]).toEqual([null, false]);
  });

  test('for one page opens at it, and for several at a page that leads to them', () => {
    expect(holding(['page-clock'])).toMatchObject({ entry: 'page-clock', led: false });
    expect(idsOf(holding(['page-clock']))).toEqual(['page-clock']);
    expect(holding(['page-clock', 'page-lamp'])).toMatchObject({ entry: null, led: true });
    // What is closed of several does not move the others.
    expect(holding(['page-clock', 'page-hidden'])).toMatchObject({ entry: null, led: true });
    expect(holding(['page-front'])).toMatchObject({ entry: null, led: false });
    // A heading has no address to open at.
    expect(holding(['page-heading'])).toMatchObject({ entry: null, led: true });
    expect(idsOf(holding(['page-heading']))).toEqual(['page-heading', 'page-lamp']);
    expect([holding(['page-hidden']), holding(['nobody']), holding([])]).toEqual([null, null, null]);
  });

  test('for a group opens what it holds, and nothing that stands over it', () => {
    expect(idsOf(holding(['page-group']))).toEqual(['page-clock', 'page-group', 'page-resume']);
    expect(holding(['page-resume'])?.pages[0]?.parent).toBeNull();
  });

  test('for a version of a résumé opens that one, and no other', () => {
    const view = holding(['version-all']);
    expect([view?.entry, versionsOf(view)]).toEqual(['page-resume', ['version-all']]);
    expect(versionsOf(holding(['version-yard']))).toEqual(['version-yard']);
    // With more than a version of it the page is open as it is: its first version.
    expect(versionsOf(holding(['version-all', 'page-resume']))).toEqual(['version-yard']);
    expect(versionsOf(holding(['version-all', 'page-group']))).toEqual(['version-yard']);
    expect(versionsOf(holding(['version-all', 'page-clock']))).toEqual(['version-all']);
    expect(versionsOf(holding(['page-group']))).toEqual(['version-yard']);
  });

  test('for a version that is not there for its reader opens nothing of the résumé', () => {
    expect([holding(['version-mine']), holding(['version-bare'])]).toEqual([null, null]);
    expect(idsOf(holding(['version-mine', 'page-clock']))).toEqual(['page-clock']);
  });

  test('without downloads has nothing to download', () => {
    const parts: Part[] = [
      part('document', 'part-plan', { material: 'material-0', download: true }),
      ...(draft.pages.find(({ id }) => id === 'page-resume') as Extract<Page, { parts: Part[] }>).parts,
    ];
    const offered = { ...draft, pages: [page('resume', 'page-resume', { parts })] };
    const of = (downloads: boolean) =>
      (seenBy(offered, { kind: 'pass', covers: 'site', downloads })?.pages[0]?.parts ?? []).flatMap(
        (one: SeenPart) =>
          one.kind === 'document' ? [one.download] : one.kind === 'version' ? [one.file] : [],
      );
    expect([of(true), of(false)]).toEqual([
      [true, true],
      [false, false],
    ]);
  });
});
