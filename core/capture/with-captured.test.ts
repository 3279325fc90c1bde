import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { momentsOf } from '../moments/moments-of.ts';
import { momentSchema, mostInMoment } from '../parts/moment.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part } from '../parts/parts.ts';
import type { Captured } from './captured.ts';
import { withCaptured } from './with-captured.ts';

const day = '2026-11-25';
const words = (text: string): Captured['what'] => ({ kind: 'words', as: 'happened', words: text });
const material = (id: string): Captured['what'] => ({ kind: 'material', material: id });
const moment = (id: string, more: object): Part => ({ ...newPart('moment', id), ...more }) as Part;

/** All things, one after the other, each into the moment the one before went into. */
function all(parts: readonly Part[], whats: readonly Captured['what'][]): Part[] {
  let now = [...parts];
  let into: string | null = null;
  for (const [at, what] of whats.entries()) {
    const next = withCaptured(now, { day, what }, { into, freshId: `fresh-${at}-id` });
    now = next.parts;
    into = next.moment;
  }
  return now;
}

describe('withCaptured', () => {
  test('a picture and two pieces of words are one moment of the day', () => {
    const parts = all([newPart('words', 'words-part')], [material('photo-1'), words('One.'), words('Two.')]);
    expect(parts[0]).toEqual(newPart('words', 'words-part'));
    expect(momentsOf(parts)).toMatchObject([
      { id: 'fresh-0-id', date: day, materials: ['photo-1'], happened: 'One.\n\nTwo.', phase: null },
    ]);
  });

  test('words go into the field they are said to be for', () => {
    const decided = { kind: 'words', as: 'decided', words: 'Steel.' } as const;
    expect(momentsOf(all([], [words('Bent it.'), decided]))).toMatchObject([
      { happened: 'Bent it.', decided: 'Steel.' },
    ]);
  });

  test('a new moment stands in the phase of the latest one that has one', () => {
    const parts = [
      moment('later-moment', { date: '2026-11-20', phase: 'building-phase' }),
      moment('early-moment', { date: '2026-10', phase: 'sketch-phase' }),
      moment('latest-moment', { date: '2026-11-24' }),
    ];
    expect(momentsOf(all(parts, [words('A')])).at(-1)?.phase).toBe('building-phase');
  });

  test('where the moment was taken off meanwhile, another one is begun', () => {
    const { parts, moment: id } = withCaptured(
      [],
      { day, what: words('A') },
      { into: 'taken-off', freshId: 'a-new-one' },
    );
    expect([momentsOf(parts).length, id]).toEqual([1, 'a-new-one']);
  });

  test('nothing is lost, and each moment can be kept', () => {
    const what = fc.oneof(
      fc.integer({ min: 0, max: 200 }).map((n) => material(`photo-${n}`)),
      fc.string({ minLength: 1, maxLength: 2000, size: 'max' }).map(words),
    );
    fc.assert(
      fc.property(fc.array(what, { maxLength: 150, size: 'max' }), (whats) => {
        const moments = momentsOf(all([], whats));
        const kept = new Set(moments.flatMap(({ materials }) => materials));
        for (const one of whats)
          if (one.kind === 'material') expect(kept.has(one.material)).toBe(true);
          else expect(moments.some(({ happened }) => happened.includes(one.words))).toBe(true);
        for (const one of moments) expect(momentSchema.safeParse(one).success).toBe(true);
        expect(moments.every(({ materials }) => materials.length <= mostInMoment)).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
});
