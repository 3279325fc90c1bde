import { describe, expect, test } from '@jest/globals';
import { seenBy } from '../access/seen-by.ts';
import type { Viewer } from '../access/viewer.ts';
import { firstLook } from '../look/look.ts';
import { noFacts } from '../pages/case-facts.ts';
import type { Page, PageOf } from '../pages/page.ts';
import { nothingShown } from '../pages/page-contents.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part, PartKind } from '../parts/parts.ts';
import { firstArrangement } from '../sites/arrangement.ts';
import type { Draft } from '../sites/site.ts';
import { versionApplied } from './version-applied.ts';

const part = (kind: PartKind, id: string, more: object = {}): Part =>
  ({ ...newPart(kind, id), height: 'public', ...more }) as Part;
const line = (id: string, text: string, page: string | null = null) => ({
  ...{ id, text },
  proof: page === null ? null : { page, part: null },
});
const page = (id: string, kind: Page['kind'], more: object): Page =>
  ({
    ...{ id, kind, title: id, slug: id, rank: id, parent: null, height: 'public' },
    ...{ archived: false, inMenu: null, language: null, ...nothingShown, ...more },
  }) as Page;

const clock = page('clock', 'project', {
  title: 'Tide clock',
  facts: { ...noFacts, from: '2025-09', to: '2025-12' },
}) as PageOf<'project'>;
const yard = part('entry', 'yard', {
  title: 'Saturday help',
  lines: [
    line('sand', 'Sanding, varnishing.'),
    line('trolley', 'Built the trolley.', 'clock'),
    line('dull', ' '),
  ],
});
const project = part('entry', 'made', {
  section: 'projects',
  page: 'clock',
  lines: [line('hand', 'One hand.')],
});
const school = part('entry', 'school', { section: 'education', title: 'School' });
const forYard = part('version', 'for-yard', {
  ...{ name: 'For the boatyard', entries: ['made', 'yard'], without: ['sand'] },
  words: [{ line: 'trolley', text: 'Designed and welded the trolley.' }],
});
const forAll = part('version', 'for-all', {
  name: 'For anyone',
  entries: ['yard', 'school', 'made', 'gone'],
});

const draft = (parts: Part[], work: Partial<Page> = {}): Draft => ({
  site: {
    ...{ id: 'site-1', title: 'Wren', height: 'public', address: 'wren', searchEngines: false },
    ...{ look: firstLook, evidenceWanted: 3, ...firstArrangement },
  },
  pages: [page('home', 'home', {}), { ...clock, ...work } as Page, page('resume', 'resume', { parts })],
  materials: [],
});
const resume = (of: Draft, viewer: Viewer = { kind: 'stranger' }) =>
  seenBy(of, viewer)?.pages.find(({ id }) => id === 'resume')?.parts ?? [];
const entries = (of: Draft, viewer?: Viewer) =>
  resume(of, viewer).flatMap((one) => (one.kind === 'entry' ? [one] : []));

describe('a version of the résumé', () => {
  test('is entries that are typed once, in its order and its words, without what stays out', () => {
    const [made, help, ...none] = entries(draft([yard, project, school, forYard]));
    expect(none).toEqual([]);
    expect(made).toMatchObject({ title: 'Tide clock', from: '2025-09', to: '2025-12', page: 'clock' });
    expect(help).toMatchObject({
      title: 'Saturday help',
      lines: [line('trolley', 'Designed and welded the trolley.', 'clock')],
    });
    // The words of the entry itself stay what they are.
    expect(entries(draft([yard, school, forAll])).map(({ id }) => id)).toEqual(['yard', 'school']);
    expect(entries(draft([yard, forAll]))[0]?.lines.map(({ text }) => text)).toEqual([
      'Sanding, varnishing.',
      'Built the trolley.',
    ]);
  });

  test('is for each reader the first that they may have', () => {
    const parts = [yard, school, { ...forYard, height: 'unlisted' as const }, forAll];
    expect(entries(draft(parts)).map(({ id }) => id)).toEqual(['yard', 'school']);
    expect(entries(draft(parts), { kind: 'site-link' }).map(({ id }) => id)).toEqual(['yard']);
  });

  test('has no entry that its reader may not have, and none at all where they may have no version', () => {
    expect(entries(draft([yard, { ...school, height: 'unlisted' }, forAll])).map(({ id }) => id)).toEqual([
      'yard',
    ]);
    expect(entries(draft([yard, school, { ...forAll, height: 'private' }]))).toEqual([]);
    expect(entries(draft([yard, school]))).toEqual([]);
  });

  test('says nothing of a page that its reader cannot open: neither as a project nor as a proof', () => {
    const hidden = draft([yard, project, forAll], { height: 'unlisted' });
    expect(entries(hidden).map(({ id }) => id)).toEqual(['yard']);
    expect(JSON.stringify(resume(hidden))).not.toMatch(/clock|One hand/);
    const [, built] = entries(hidden)[0]?.lines ?? [];
    expect(built).toEqual(line('trolley', 'Built the trolley.'));
    expect(entries(hidden, { kind: 'site-link' })).toHaveLength(1);
  });

  test('is never called by its maker’s name for it', () => {
    const wanting = { ...forAll, wants: 'welding' } as Part;
    expect(JSON.stringify(resume(draft([yard, wanting])))).not.toMatch(/For anyone|welding/);
  });

  test('leaves a page without entries as it is', () => {
    const parts = [part('words', 'one'), forAll, part('quote', 'two')];
    expect(versionApplied(parts)).toEqual(parts);
  });
});
