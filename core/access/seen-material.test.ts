import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Material } from '../materials/material.ts';
import { draftArbitrary } from './arbitrary-draft.ts';
import { seenMaterial } from './seen-material.ts';

const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 5 });
const one = (kind: Material['kind']): Material => {
  const found = draft?.materials.find((material) => material.kind === kind);
  if (!found) throw new Error(`no ${kind} in the sample`);
  return found;
};
const shownBy = (material: Material, shower: Material): unknown => {
  const known = new Map([material, shower].map((each) => [each.id, each]));
  const seen = seenMaterial({ ...material, shownBy: shower.id }, known);
  return seen && 'shownBy' in seen && seen.shownBy?.id;
};
const document = one('document');
const other = (format: string) =>
  ({ ...document, id: 'shower', facts: { ...document.facts, format } }) as Material;

test('a document is shown by a PDF and by nothing else, least of all by itself', () => {
  expect(shownBy(document, other('pdf'))).toBe('shower');
  expect(shownBy(document, other('docx'))).toBeUndefined();
  expect(shownBy(document, one('picture'))).toBeUndefined();
  const pdf = { ...other('pdf'), shownBy: 'shower' } as Material;
  expect(shownBy(pdf, pdf)).toBeUndefined();
});

test('only a picture stands for a clip or a link, and what is gone stands for nothing', () => {
  for (const kind of ['clip', 'link'] as const) {
    expect(shownBy(one(kind), one('picture'))).toBe(one('picture').id);
    expect(shownBy(one(kind), document)).toBeUndefined();
    expect(seenMaterial({ ...one(kind), shownBy: 'gone' }, new Map())).toMatchObject({ shownBy: null });
  }
});
