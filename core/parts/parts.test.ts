import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import { evidenceCount } from './evidence-count.ts';
import { newPart } from './new-part.ts';
import { isEmptyPart } from './is-empty-part.ts';
import { materialsOf } from './materials-of.ts';
import { type Part, type PartKind, partSchema, partsSchema } from './parts.ts';
import { withoutMaterial } from './without-material.ts';

const kinds = partSchema.options.map((option) => option.shape.kind.value) as PartKind[];

describe('parts', () => {
  test.each(kinds)('a new %s is one the model takes, and shows nothing yet', (kind) => {
    const part = newPart(kind, 'part-one');
    expect(partSchema.parse(part)).toEqual(part);
    expect(materialsOf(part)).toEqual([]);
    // Of these it depends on what else there is.
    expect(isEmptyPart(part)).toBe(!['credits', 'process', 'decisions'].includes(kind));
  });

  test('a deleted material is gone from whatever part showed it, and nothing else is', () => {
    fc.assert(
      fc.property(draftArbitrary, ({ pages, materials }) => {
        for (const part of pages.flatMap((page) => page.parts))
          for (const { id } of materials) {
            const rest = withoutMaterial(part, id);
            expect(materialsOf(rest)).toEqual(materialsOf(part).filter((one) => one !== id));
            expect(partSchema.parse(rest)).toEqual(rest);
          }
      }),
      { numRuns: 60 },
    );
  });

  test('a comparison needs both pictures, a reflection one answer', () => {
    expect(isEmptyPart(newPart('compare', 'part-one', ['pic-0001']))).toBe(true);
    expect(isEmptyPart(newPart('compare', 'part-one', ['pic-0001', 'pic-0002']))).toBe(false);
    const asked = { id: 'answer-1', question: 'What next?', text: ' ' };
    const reflection = { id: 'part-one', height: 'public', kind: 'reflection' } as const;
    expect(isEmptyPart({ ...reflection, answers: [asked] })).toBe(true);
    expect(isEmptyPart({ ...reflection, answers: [asked, { ...asked, text: 'A school.' }] })).toBe(false);
  });

  test('a contact takes a link to the web or none, and no address to write to', () => {
    const contact = (more: object) =>
      partSchema.safeParse({ id: 'part-one', height: 'public', kind: 'contact', words: '', ...more });
    expect(contact({ form: true, link: 'https://wren.example/' }).success).toBe(true);
    expect(contact({ link: 'javascript:alert(1)' }).success).toBe(false);
    expect(contact({ email: 'wren@demo.example' }).data).not.toHaveProperty('email');
  });

  test('two parts of one page never share an id', () => {
    expect(partsSchema.safeParse([newPart('quote', 'part-one'), newPart('words', 'part-one')]).success).toBe(
      false,
    );
  });
});

test('evidence counts when the thing is there and all three are answered', () => {
  const whole: Part = {
    id: 'part-one',
    height: 'public',
    kind: 'evidence',
    material: 'pic-0001',
    what: 'a',
    why: 'b',
    shows: 'c',
  };
  expect(
    evidenceCount([whole, { ...whole, why: ' ' }, { ...whole, material: null }, newPart('quote', 'q-00001')]),
  ).toBe(1);
});
