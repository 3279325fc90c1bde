import { firstLook } from '../look/look.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary, noteId, type ProjectDraft } from '../access/arbitrary-draft.ts';
import type { Material, MaterialKind } from '../materials/material.ts';
import { mine } from '../credits/provenance.ts';
import type { PageOf } from '../pages/page.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part } from '../parts/parts.ts';
import { differences } from './differences.ts';
import { releasable } from './released.ts';

const [sample] = fc.sample(draftArbitrary, { numRuns: 1, seed: 7 });
if (!sample?.pages[0]) throw new Error('no sample');
const materials: Material[] = sample.materials.map((one) => ({ ...one, provenance: mine, shownBy: null }));
const of = (kind: MaterialKind): string => materials.find((one) => one.kind === kind)?.id ?? '';
const [picture = '', other = ''] = materials.filter(({ kind }) => kind === 'picture').map(({ id }) => id);
const quote = (id: string): Part => ({ ...newPart('quote', id), text: 'It holds.' }) as Part;
const page: PageOf<'project'> = {
  ...sample.pages[0],
  title: 'Tide clock',
  height: 'public',
  parent: null,
  archived: false,
  cover: { picture: null, focus: null },
  opening: { layout: 'full', pictures: [picture] },
  parts: [quote('part-1'), newPart('picture', 'part-2', [other]), { ...quote('part-3'), height: 'private' }],
};
const live: ProjectDraft = {
  ...sample,
  site: { ...sample.site, height: 'public', searchEngines: true, quickLinks: [], linkPictures: false },
  pages: [page],
  materials,
};
const withPage = (change: Partial<PageOf<'project'>>, from = live): ProjectDraft => ({
  ...from,
  pages: from.pages.map((one) => ({ ...one, ...change })),
});
const withMaterial = (id: string, change: Partial<Material>, from = live): ProjectDraft => ({
  ...from,
  materials: from.materials.map((one) => (one.id === id ? ({ ...one, ...change } as Material) : one)),
});
/** A page that shows one material. */
const showing = (kind: MaterialKind): ProjectDraft =>
  withPage({ parts: [newPart(kind === 'note' ? 'words' : kind, 'part-1', [of(kind)])] });
const what = (before: ProjectDraft, after: ProjectDraft) =>
  differences(releasable(before), after).map((one) => one.what);

describe('one change of a page, in a reader’s words', () => {
  test.each<[string, Partial<PageOf<'project'>>]>([
    ['title', { title: 'Moon clock' }],
    ['summary', { summary: 'With one hand.' }],
    ['language', { language: page.language === 'fr' ? 'es' : 'fr' }],
    ['address of the page', { slug: 'moon-clock' }],
    ['case facts', { facts: { ...page.facts, field: 'Woodwork' } }],
    ['cover', { cover: { picture, focus: { x: 0.1, y: 0.2 } } }],
    ['opening', { opening: { layout: 'strip', pictures: [picture] } }],
    ['place in the site', { rank: 'zz' }],
    ['quote removed', { parts: page.parts.slice(1) }],
    ['parts in another order', { parts: [page.parts[1], page.parts[0]] as Part[] }],
    ['Public becomes Unlisted', { height: 'unlisted' }],
  ])('%s', (words, change) => expect(what(live, withPage(change))).toEqual([[words]]));

  test.each<[string, Partial<ProjectDraft['site']>]>([
    ['how the front page hangs', { wallLabels: live.site.wallLabels === 'over' ? 'below' : 'over' }],
    ['how the front page hangs', { welcome: !live.site.welcome }],
    ['language', { language: 'cy' }],
    ['quick links', { quickLinks: [] }],
    ['what stands at the end of every page', { rights: 'CC-BY-4.0' }],
    ['what stands at the end of every page', { contact: 'https://kite.example/' }],
  ])('of the site: %s', (words, change) => {
    const link = { id: 'link-id', name: 'Tides', to: 'https://tides.example/', newWindow: false, pages: [] };
    const linked = { ...live.site, quickLinks: [{ ...link, inMenu: true, atEnd: 'none' as const }] };
    const from = { ...live, site: linked };
    expect(what(from, { ...from, site: { ...linked, ...change } })).toEqual([[words]]);
  });

  test('who can open it is told where that changes, and only there', () => {
    const accessOf = (after: ProjectDraft) =>
      differences(releasable(live), after).map(({ access }) => access);
    expect(accessOf(withPage({ height: 'unlisted' }))).toEqual([{ before: 'public', after: 'unlisted' }]);
    expect(accessOf(withPage({ title: 'Moon clock' }))).toEqual([null]);
    expect(accessOf({ ...live, site: { ...live.site, title: 'Quay' } })).toEqual([null]);
    expect(accessOf({ ...live, site: { ...live.site, height: 'unlisted' } })[0]).toEqual({
      before: 'public',
      after: 'unlisted',
    });
  });

  test('words are rewritten, and what nobody but the maker has changes nothing', () => {
    const words: Part = newPart('words', 'part-1');
    const said = (text: string) =>
      withPage({
        parts: [
          {
            ...words,
            text: { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text }] }] },
          },
        ] as Part[],
      });
    expect(what(said('One'), said('Two'))).toEqual([['words rewritten']]);
    const lying = said('One');
    const onField = { kind: 'colour', colour: 'strong', wide: true } as const;
    const parts = (lying.pages[0]?.parts ?? []).map((part) => ({ ...part, ground: onField }));
    expect(what(lying, withPage({ parts: parts as Part[] }))).toEqual([['ground below the words']]);
    const hidden = page.parts.map((part) => (part.id === 'part-3' ? { ...part, text: 'Secret' } : part));
    expect(what(live, withPage({ parts: hidden as Part[] }))).toEqual([]);
  });
});

describe('a material that is shown', () => {
  test('in a part, in an opening, and nowhere', () => {
    const inPart = differences(releasable(live), withMaterial(other, { alt: 'Another' }));
    expect(inPart).toMatchObject([
      { what: ['caption, alt text or fixes in a picture'], opening: false, parts: ['part-2'] },
    ]);
    const inOpening = differences(releasable(live), withMaterial(picture, { caption: 'Another' }));
    expect(inOpening).toMatchObject([{ what: ['opening'], opening: true, parts: [] }]);
    expect(what(live, withMaterial(noteId, { caption: 'Another' }))).toEqual([]);
    // What all pages lie on is told once, with the site.
    const ground =
      materials.find(({ id, kind }) => kind === 'picture' && id !== picture && id !== other)?.id ?? '';
    const look = { ...firstLook, ground: { ...firstLook.ground, picture: ground } };
    const lying = { ...live, site: { ...live.site, look } };
    expect(what(live, lying)).toEqual([['look']]);
    expect(what(lying, withMaterial(ground, { fixes: { turn: 90 } }, lying))).toEqual([
      ['picture on the ground'],
    ]);
    // Of a picture, its title is for its maker to find it by.
    expect(what(live, withMaterial(other, { title: 'Another' }))).toEqual([]);
  });

  test.each<[MaterialKind, Partial<Material>, boolean]>([
    ['sound', { title: 'Another' }, true],
    ['sound', { transcript: 'Another' }, true],
    ['clip', { title: 'Another' }, true],
    ['document', { title: 'Another' }, true],
    ['link', { title: 'Another' }, true],
    ['sound', { tags: ['another'] }, false],
  ])('a %s: %j', (kind, change, shows) =>
    expect(what(showing(kind), withMaterial(of(kind), change, showing(kind)))).toEqual(
      shows ? [[`caption, alt text or fixes in a ${kind}`]] : [],
    ),
  );

  test('a link that was read again counts when it says something else, and not for having been read', () => {
    const link = materials.find(({ kind }) => kind === 'link');
    if (link?.kind !== 'link') throw new Error('no link');
    const again = (facts: Partial<typeof link.facts>) =>
      withMaterial(link.id, { facts: { ...link.facts, ...facts } } as Partial<Material>, showing('link'));
    expect(
      what(showing('link'), again({ readAt: '2027-01-01T00:00:00.000Z', movedTo: 'https://moved.example/' })),
    ).toEqual([]);
    expect(what(showing('link'), again({ description: 'Another' }))).toHaveLength(1);
    // Facts of all other kinds are read from the file, which is what counts.
    const clip = materials.find(({ kind }) => kind === 'clip');
    const longer = { facts: { ...clip?.facts, seconds: 99 } } as Partial<Material>;
    expect(what(showing('clip'), withMaterial(of('clip'), longer, showing('clip')))).toEqual([]);
  });

  test('what stands for it counts with it, and nothing is shown by itself', () => {
    const still = withMaterial(of('clip'), { shownBy: picture }, showing('clip'));
    expect(what(showing('clip'), still)).toHaveLength(1);
    expect(what(still, withMaterial(picture, { alt: 'Another' }, still)).flat()).toContain(
      'caption, alt text or fixes in a clip',
    );
    const byItself = withMaterial(of('document'), { shownBy: of('document') }, showing('document'));
    expect(what(showing('document'), byItself)).toEqual([]);
  });

  test('one that is gone is nothing, and a kind that nobody knows is not told of', () => {
    const gone: ProjectDraft = { ...live, materials: live.materials.filter(({ id }) => id !== other) };
    expect(what(live, gone)).toEqual([['caption, alt text or fixes in a picture']]);
    const newer = { id: 'part-new', height: 'public', kind: 'hologram' } as unknown as Part;
    expect(what(live, withPage({ parts: [...page.parts, newer] }))).toEqual([]);
    expect(what(withPage({ parts: [...page.parts, newer] }), live)).toEqual([]);
  });

  test('whose it is counts, since the page names them', () => {
    const theirs = { provenance: { ...mine, whose: 'someone-else' as const, author: 'Ines Corrado' } };
    expect(what(live, withMaterial(other, theirs))).toEqual([['credits']]);
  });
});

describe('the site and its pages', () => {
  const site = (change: Partial<ProjectDraft['site']>, from = live): ProjectDraft => ({
    ...from,
    site: { ...from.site, ...change },
  });

  test('what is told of the whole site', () => {
    expect(what(live, site({ title: 'Quay' }))).toEqual([['name of the site']]);
    expect(what(live, site({ look: { ...firstLook, theme: 'signal' } }))).toEqual([['look']]);
    expect(what(live, site({ searchEngines: false }))).toEqual([['search engines are asked to stay away']]);
    expect(what(site({ searchEngines: false }), live)).toEqual([['search engines may find it']]);
    expect(what(live, site({ address: 'quay' }))).toEqual([['address named where a link to it is shown']]);
    // Where nobody comes without a link, neither an address nor a search engine matters.
    const unlisted = site({ height: 'unlisted' });
    expect(what(unlisted, site({ address: 'quay', searchEngines: false }, unlisted))).toEqual([]);
    expect(what(unlisted, site({ height: 'public', address: 'quay' }, unlisted))).toEqual([
      ['Unlisted becomes Public'],
    ]);
  });

  test('what comes and goes', () => {
    const more = { ...page, id: 'page-new', slug: 'new', title: '' };
    const added: ProjectDraft = { ...live, pages: [page, more] };
    expect(differences(releasable(live), added)).toMatchObject([
      {
        kind: 'added',
        page: 'page-new',
        title: 'Untitled project',
        what: ['2 pictures', 'Public'],
        access: { before: 'private', after: 'public' },
      },
    ]);
    const withDocument = { ...more, parts: [...more.parts, newPart('document', 'part-9', [of('document')])] };
    expect(what(live, { ...live, pages: [page, withDocument] })).toEqual([['2 pictures', 'Public']]);
    const one = { ...more, opening: { layout: 'words' as const, pictures: [] } };
    expect(what(live, { ...live, pages: [page, one] })).toEqual([['1 picture', 'Public']]);
    expect(what(live, { ...live, pages: [page, { ...one, parts: [] }] })).toEqual([['new page', 'Public']]);
    expect(differences(releasable(added), live)).toMatchObject([
      {
        kind: 'removed',
        page: 'page-new',
        title: 'Untitled project',
        what: ['readers can no longer open it'],
        access: { before: 'public', after: 'private' },
      },
    ]);
    // Of a site that is closed as a whole, nothing goes by itself.
    expect(what(added, site({ height: 'private' }))).toEqual([['Public becomes Private']]);
  });
});
