import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import type { Height } from '../access/height.ts';
import type { Material } from '../materials/material.ts';
import { isShown, type PageOf } from '../pages/page.ts';
import type { Draft } from '../sites/site.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part, PartOf } from '../parts/parts.ts';
import { narrowed } from './narrowed.ts';
import { releasable } from './released.ts';

const [sample] = fc.sample(draftArbitrary, { numRuns: 1, seed: 7 });
if (!sample?.pages[0]) throw new Error('no sample');
const [inOpening = '', inPart = '', still = '', unused = ''] = sample.materials
  .filter(({ kind }) => kind === 'picture')
  .map(({ id }) => id);
const clip = sample.materials.find(({ kind }) => kind === 'clip')?.id ?? '';
const materials: Material[] = sample.materials.map((one) => ({
  ...one,
  shownBy: one.id === clip ? still : null,
}));
const table = (column: Height): PartOf<'table'> => ({
  ...(newPart('table', 'part-table') as PartOf<'table'>),
  columns: [
    { id: 'column-1', name: 'What', height: 'public', sum: false },
    { id: 'column-2', name: 'Cost', height: column, sum: false },
  ],
  rows: [['Rods', '4.20']],
});
const page: PageOf<'project'> = {
  ...sample.pages[0],
  height: 'public',
  parent: null,
  archived: false,
  cover: { picture: inOpening, focus: { x: 0.2, y: 0.3 } },
  opening: { layout: 'strip', pictures: [inOpening, inPart] },
  parts: [newPart('picture', 'part-1', [inPart]), newPart('clip', 'part-2', [clip]), table('public')],
};
const draft: Draft = { ...sample, site: { ...sample.site, height: 'public' }, pages: [page], materials };
const idsOf = ({ materials: list }: Draft) => list.map(({ id }) => id).sort();
const byId = (from: Draft | null, id: string) => from?.materials.find((one) => one.id === id);

describe('a releasable copy', () => {
  test('keeps the materials its pages show, what stands for them, and no others', () => {
    expect(idsOf(releasable(draft))).toEqual([inOpening, inPart, still, clip].sort());
    // The still of a clip that nobody shows stands for nothing.
    const without = { ...draft, pages: [{ ...page, parts: page.parts.slice(0, 1) }] };
    expect(idsOf(releasable(without))).toEqual([inOpening, inPart].sort());
    expect(idsOf(releasable(draft))).not.toContain(unused);
  });

  test('keeps nothing of a Private site, and of a part that is kept nothing Private in it', () => {
    expect(releasable({ ...draft, site: { ...draft.site, height: 'private' } })).toMatchObject({
      pages: [],
      materials: [],
    });
    const shut = releasable({ ...draft, pages: [{ ...page, parts: [table('private')] }] });
    expect(JSON.stringify(shut)).toContain('Rods');
    expect(JSON.stringify(shut)).not.toMatch(/Cost|4\.20/);
    const invited = releasable({ ...draft, pages: [{ ...page, parts: [table('invited')] }] });
    expect(JSON.stringify(invited)).toContain('4.20');
  });
});

describe('a released copy without a material that was closed', () => {
  const live = releasable(draft);
  const closing = (...ids: string[]) => narrowed(live, new Map(ids.map((id) => [id, 'private' as const])));
  const pageOf = (copy: Draft | null) => copy?.pages.find(isShown);

  test('loses it as a cover, in the opening, in parts and among its materials, and keeps all others', () => {
    const opening = closing(inOpening);
    expect(pageOf(opening)?.cover).toEqual({ picture: null, focus: null });
    expect(pageOf(opening)?.opening.pictures).toEqual([inPart]);
    expect(pageOf(opening)?.parts).toEqual(page.parts);
    expect(idsOf(opening ?? live)).toEqual(idsOf(live).filter((id) => id !== inOpening));
    const part = closing(inPart);
    expect(pageOf(part)?.cover).toEqual(page.cover);
    expect(pageOf(part)?.opening.pictures).toEqual([inOpening]);
    expect(pageOf(part)?.parts[0]).toMatchObject({ id: 'part-1', material: null });
    expect(byId(part, inPart)).toBeUndefined();
  });

  test('a page without a cover has none afterwards', () => {
    const bare = { ...live, pages: [{ ...page, cover: { picture: null, focus: null } }] };
    const lower = narrowed(bare, new Map([[inPart, 'private' as const]]));
    expect(pageOf(lower)?.cover).toEqual({ picture: null, focus: null });
  });

  test('what it stood for goes on without it, and what others stand for stays', () => {
    expect(byId(closing(still), clip)?.shownBy).toBeNull();
    expect(byId(closing(inPart), clip)?.shownBy).toBe(still);
  });

  test('nothing is narrower where what is closed is in none of it, or is as low already', () => {
    expect(closing(unused)).toBeNull();
    expect(narrowed(live, new Map([['column-2', 'public' as const]]))).toBeNull();
    const lower = narrowed(live, new Map([['column-2', 'private' as const]]));
    const [, , after] = pageOf(lower)?.parts as [Part, Part, PartOf<'table'>];
    expect(after.columns.map(({ height }) => height)).toEqual(['public', 'private']);
  });
});
