import { describe, expect, test } from '@jest/globals';
import type { Material } from '../materials/material.ts';
import { samplePage as page } from '../pages/sample-page.ts';
import { newPart } from '../parts/new-part.ts';
import type { InsideFound, InsideKind } from '../personal/inside.ts';
import { sampleSound } from '../materials/sample-sound.ts';
import { facesSeen } from './findings/faces-seen.ts';
import { personalInside } from './findings/personal-inside.ts';
import { nothingLookedAt } from './looked-at.ts';

const size = { widthPt: 420, heightPt: 595 };
const material = (id: string, pages: number, fixes: Material['fixes'] = {}): Material => ({
  ...sampleSound(id),
  ...{ title: 'Notes', original: 'a'.repeat(64), fixes },
  ...{
    kind: 'document',
    facts: { format: 'pdf', pages: Array.from({ length: pages }, () => size), words: 9 },
  },
});
const region = { x: 0.1, y: 0.1, width: 0.3, height: 0.05 };
const at = (kind: InsideKind, text: string, on: number | null = 0): InsideFound => ({
  ...{ kind, text, page: on },
  regions: on === null ? [] : [region],
});
const told = (found: InsideFound[], pages = 1, fixes: Material['fixes'] = {}, underAge = false) =>
  personalInside({
    page: page('one', 'project', { parts: [newPart('gallery', 'gallery-1', ['notes'])] }),
    site: { language: 'en', evidenceWanted: 0, underAge, lists: [] },
    materials: new Map([['notes', material('notes', pages, fixes)]]),
    ...{
      lookedAt: nothingLookedAt,
      answers: new Map(),
      inside: { notes: found, other: [at('phone', '1')] },
      today: '2026-11-30',
    },
  });
const says = (...all: Parameters<typeof told>) => told(...all).map((one) => one.says);

describe('what is inside what stands on a page', () => {
  test('is asked about where it stands, one question a kind, with what would cover it', () => {
    expect(told([at('phone', '1'), at('phone', '2'), at('email', 'a@b.example')])).toMatchObject([
      {
        ...{ weight: 'needed', part: 'gallery-1', material: 'notes' },
        says: 'In “Notes” there are 2 things that look like telephone numbers: “1”, “2”.',
        blackOut: [
          { ...region, page: 0 },
          { ...region, page: 0 },
        ],
      },
      { says: 'In “Notes” there is an e-mail address: “a@b.example”.' },
    ]);
  });

  test('with the pages on which it stands, where there are several; what stands twice is one', () => {
    expect(says([at('phone', '1', 0), at('phone', '1', 2)], 3)).toEqual([
      'In “Notes” there is what looks like a telephone number: “1” (pages 1, 3).',
    ]);
    expect(says([at('phone', '1'), at('phone', '1')])).toEqual([
      'In “Notes” there is what looks like a telephone number: “1”.',
    ]);
  });

  test('three are quoted, of the others it says how many', () => {
    expect(says(['1', '2', '3', '4', '5'].map((text) => at('email', text)))).toEqual([
      'In “Notes” there are 5 e-mail addresses: “1”, “2”, “3” and 2 more.',
    ]);
  });

  test('of what has no pages nothing can be covered, and it says what to do instead', () => {
    const [one] = told([at('phone', '1', null)]);
    expect(one?.blackOut).toBeUndefined();
    expect(one?.why).toContain('Take it out of the file');
  });

  test('nothing of what is black already, and of people’s names: those are asked once on the whole site', () => {
    expect(says([at('phone', '1')], 1, { blackOut: [{ ...region, page: 0 }] })).toEqual([]);
    expect(says([at('name', 'Juno Pell')])).toEqual([]);
  });

  test('of somebody under 18 it asks more, and says whom to ask', () => {
    const [one] = told([at('school', 'Tern Bay School')], 1, {}, true);
    expect(one?.says).toBe('In “Notes” there is the name of a school or class: “Tern Bay School”.');
    expect(one?.why).toContain('somebody who looks after you agrees');
    expect(told([at('phone', '1')])[0]?.why).not.toContain('looks after you');
  });

  test('what was let stand is asked again once something else is found', () => {
    const of = (...found: InsideFound[]) => told(found)[0]?.of;
    expect(of(at('phone', '1'))).toBe(of(at('phone', '1')));
    expect(of(at('phone', '1'))).not.toBe(of(at('phone', '1'), at('phone', '2')));
  });
});

describe('faces', () => {
  const face = (x: number): InsideFound => ({ kind: 'face', text: '', page: 0, regions: [{ ...region, x }] });
  const asked = (
    found: InsideFound[],
    {
      kind = 'project',
      underAge = false,
      fixes = {},
    }: { kind?: 'project' | 'about'; underAge?: boolean; fixes?: Material['fixes'] } = {},
  ) =>
    facesSeen({
      page: page('one', kind, { parts: [newPart('gallery', 'gallery-1', ['notes'])] }),
      site: { language: 'en', evidenceWanted: 0, underAge, lists: [] },
      materials: new Map([['notes', material('notes', 1, fixes)]]),
      ...{ lookedAt: nothingLookedAt, answers: new Map(), inside: { notes: found }, today: '2026-11-30' },
    });

  test('are asked about once a picture, with what would cover all of them', () => {
    expect(asked([face(0), face(0.5), at('phone', '1')])).toMatchObject([
      {
        ...{ weight: 'nice', part: 'gallery-1', material: 'notes' },
        says: 'In “Notes” there are 2 things that look like faces.',
        blackOut: [
          { ...region, x: 0, page: 0 },
          { ...region, x: 0.5, page: 0 },
        ],
      },
    ]);
    expect(asked([])).toEqual([]);
    expect(asked([at('phone', '1')])).toEqual([]);
  });

  test('what was said counts as long as the same ones are seen', () => {
    const of = (...all: Parameters<typeof asked>) => asked(...all)[0]?.of;
    const all = [face(0), face(0.5)];
    expect(of(all)).toBe(of(all));
    expect(of(all)).not.toBe(of(all, { fixes: { blackOut: [{ ...region, x: 0.5, page: 0 }] } }));
    expect(
      of(all, {
        fixes: { blackOut: all.flatMap(({ regions }) => regions.map((one) => ({ ...one, page: 0 }))) },
      }),
    ).toBeUndefined();
  });

  test('are Needed where their maker is under 18, also their own', () => {
    expect(asked([face(0)], { underAge: true })[0]?.weight).toBe('needed');
    expect(asked([face(0)], { kind: 'about' })).toEqual([]);
    expect(asked([face(0), face(0.5)], { kind: 'about' })).toHaveLength(1);
    expect(asked([face(0)], { kind: 'about', underAge: true })[0]?.why).toContain('you too');
  });

  test('what has no place cannot be covered, and it is said what helps', () => {
    const [told] = asked([{ ...face(0), page: null, regions: [] }]);
    expect(told?.blackOut).toBeUndefined();
    expect(told?.why).toContain('take the picture out of the file');
  });
});
