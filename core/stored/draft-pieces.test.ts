import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { createHash } from 'node:crypto';
import { mixedDraftArbitrary } from '../access/arbitrary-draft.ts';
import { sampleSound } from '../materials/sample-sound.ts';
import type { Draft } from '../sites/site.ts';
import { isShown } from '../pages/page.ts';
import { draftFromPieces, draftToPieces, type KeptDraft, namesIn } from './draft-pieces.ts';

/** As a database gives it back. */
const kept = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const nameIn = ({ pieces }: ReturnType<typeof draftToPieces>, thing: string): string =>
  pieces.find((piece) => piece.thing === thing)?.name ?? '';
/** The text itself is a name like no other. */
const apart = (draft: Draft) => draftToPieces(draft, (text) => text);
const contents = (...drafts: ReturnType<typeof apart>[]) =>
  new Map(drafts.flatMap(({ pieces }) => kept(pieces).map(({ name, content }) => [name, content])));

describe('the pieces of a draft', () => {
  test('give back every page, part and material of every kind', () => {
    fc.assert(
      fc.property(mixedDraftArbitrary, (draft) => {
        const taken = apart(draft);
        expect(draftFromPieces(kept(taken.kept), contents(taken))).toEqual(kept(draft));
        // As versions before kept it: in one piece, with no versions written down.
        expect(draftFromPieces(kept(draft) as KeptDraft, new Map())).toEqual(kept(draft));
      }),
      { numRuns: 60 },
    );
  });

  test('are the same where nothing changed: a word costs its part and the list of its page', () => {
    const sample = fc.sample(mixedDraftArbitrary, { seed: 11, numRuns: 200 });
    const big = sample.find(({ pages }) => pages.filter(isShown).some(({ parts }) => parts.length > 1));
    const page = big?.pages.filter(isShown).find(({ parts }) => parts.length > 1);
    const part = page?.parts[1];
    if (!big || !page || !part) throw new Error('No page has two parts.');
    const height = part.height === 'invited' ? 'public' : 'invited';
    const parts = page.parts.map((one) => (one === part ? { ...one, height } : one)) as typeof page.parts;
    const changed: Draft = {
      ...big,
      pages: big.pages.map((one) => (one === page ? { ...page, parts } : one)),
    };
    const [before, after] = [apart(big), apart(changed)];
    const known = new Set(before.pieces.map(({ name }) => name));
    const fresh = after.pieces.filter(({ name }) => !known.has(name));
    expect(fresh.map(({ kind, thing }) => [kind, thing])).toEqual([
      ['part', part.id],
      ['page', page.id],
      ['run', after.kept.pages[0]],
    ]);
    // Both are put together again from one heap.
    const heap = contents(before, after);
    expect(draftFromPieces(kept(before.kept), heap)).toEqual(kept(big));
    expect(draftFromPieces(kept(after.kept), heap)).toEqual(kept(changed));
  });

  test('of a long list are named in runs: one more in the middle leaves most of them as they are', () => {
    const { site } = fc.sample(mixedDraftArbitrary, { seed: 11, numRuns: 1 })[0] as Draft;
    const hashed = (draft: Draft) =>
      draftToPieces(draft, (text) => createHash('sha256').update(text).digest('base64url'));
    const of = (materials: Draft['materials']) => hashed({ site, pages: [], materials });
    const many = Array.from({ length: 2000 }, (_, at) => sampleSound(`sound-${at}`));
    const before = of(many);
    const longer = many.toSpliced(1000, 0, sampleSound('sound-new'));
    const after = of(longer);
    // One name in 64 ends a run: about 31 of 2,000.
    expect(before.kept.materials.length).toBeGreaterThan(15);
    expect(before.kept.materials.length).toBeLessThan(60);
    const known = new Set(before.pieces.map(({ name }) => name));
    const fresh = after.pieces.filter(({ name }) => !known.has(name)).map(({ kind }) => kind);
    expect(fresh.filter((kind) => kind === 'material')).toHaveLength(1);
    expect(fresh.filter((kind) => kind === 'run').length).toBeLessThanOrEqual(2);
    expect(draftFromPieces(kept(after.kept), contents(after)).materials).toEqual(longer);
    // As versions that knew no runs kept it.
    const listed = { ...after.kept, runs: undefined, materials: longer.map((one) => nameIn(after, one.id)) };
    expect(draftFromPieces(kept(listed), contents(after)).materials).toEqual(longer);
  });

  test('a missing one is told, and nothing is made up for it', () => {
    const sample = fc.sample(mixedDraftArbitrary, { seed: 11, numRuns: 200 });
    const taken = apart(sample.find(({ pages }) => pages.length > 0) as Draft);
    const without = contents(taken);
    without.delete(namesIn(taken.kept.pages)[0] ?? '');
    expect(() => draftFromPieces(taken.kept, without)).toThrow('a piece of it is missing');
  });
});
