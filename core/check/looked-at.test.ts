import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import type { MaterialOf } from '../materials/material.ts';
import { samplePage } from '../pages/sample-page.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part } from '../parts/parts.ts';
import type { CheckedPage } from './checked-page.ts';
import { type LookedAt, nothingLookedAt } from './looked-at.ts';
import { rules } from './rules.ts';

const [somePicture] = fc
  .sample(draftArbitrary, { numRuns: 20, seed: 5 })
  .flatMap(({ materials }) => materials)
  .filter((one): one is MaterialOf<'picture'> => one.kind === 'picture');
if (!somePicture) throw new Error('no picture');
const picture = (id: string, fields: Partial<MaterialOf<'picture'>> = {}): MaterialOf<'picture'> => ({
  ...somePicture,
  ...{ id, title: id, fixes: {}, facts: { ...somePicture.facts, widthPx: 3000, heightPx: 2000 } },
  ...fields,
});
const gallery = (...pictures: string[]): Part => newPart('gallery', 'the-gallery', pictures);
const checked = (
  fields: object,
  lookedAt: Partial<LookedAt>,
  materials = ['dial-one', 'dial-two', 'dial-three'].map((id) => picture(id)),
): CheckedPage => ({
  page: samplePage('the-clock', 'project', fields),
  site: { language: 'en', evidenceWanted: 0, underAge: false, lists: [] },
  today: '2026-11-30',
  materials: new Map(materials.map((one) => [one.id, one])),
  lookedAt: { ...nothingLookedAt, ...lookedAt },
  inside: {},
  answers: new Map(),
});

describe('pictures that look alike', () => {
  const groups = [['dial-one', 'dial-two', 'dial-three']];
  test('are told of where two of them stand on one page, once', () => {
    const found = rules.alike(checked({ parts: [gallery('dial-one', 'dial-three')] }, { groups }));
    expect(found).toMatchObject([{ part: 'the-gallery', material: 'dial-three', weight: 'nice' }]);
    expect(found[0]?.says).toBe('“dial-three” looks like “dial-one”.');
    const all = checked({ parts: [gallery('dial-one', 'dial-two', 'dial-three')] }, { groups });
    expect(rules.alike(all).map(({ says }) => says)).toEqual([
      '“dial-two” looks like “dial-one” and one more.',
    ]);
  });
  test('and not where one of them does, nor where they are compared', () => {
    expect(rules.alike(checked({ parts: [gallery('dial-one')] }, { groups }))).toEqual([]);
    const compared = newPart('compare', 'compared', ['dial-one', 'dial-two']);
    expect(rules.alike(checked({ parts: [compared] }, { groups }))).toEqual([]);
    expect(rules.alike(checked({ parts: [compared, gallery('dial-three')] }, { groups }))).toHaveLength(1);
  });
});

describe('poor pictures', () => {
  const at = (width: string): Part =>
    ({ ...newPart('picture', 'the-part', ['dial-one']), width }) as unknown as Part;
  test('that are blurred are told of where they are shown large', () => {
    const warnings = { 'dial-one': ['perhaps-blurred' as const] };
    expect(rules.poor(checked({ parts: [at('full')] }, { warnings }))).toMatchObject([
      { says: '“dial-one” may not be sharp, and is shown large.', part: 'the-part' },
    ]);
    expect(rules.poor(checked({ parts: [gallery('dial-one')] }, { warnings }))).toEqual([]);
  });
  test('that are dark are told of anywhere, until their maker has made them lighter', () => {
    const warnings = { 'dial-one': ['very-dark' as const, 'too-small' as const] };
    const parts = [gallery('dial-one')];
    expect(rules.poor(checked({ parts }, { warnings }))).toHaveLength(1);
    const lit = [picture('dial-one', { fixes: { brightness: 20 } })];
    expect(rules.poor(checked({ parts }, { warnings }, lit))).toEqual([]);
    const darker = [picture('dial-one', { fixes: { brightness: -20 } })];
    expect(rules.poor(checked({ parts }, { warnings }, darker))).toHaveLength(1);
  });
});
