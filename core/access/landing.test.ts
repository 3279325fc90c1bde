import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from './arbitrary-draft.ts';
import { heightLevel, lowest } from './height.ts';
import { heightsOf } from './heights-of.ts';
import { landing } from './landing.ts';

describe('what a landing does to heights', () => {
  test('is what the heights of the whole draft say, of the page and of all below it', () => {
    fc.assert(
      fc.property(draftArbitrary, fc.nat(7), fc.option(fc.nat(7), { nil: null }), (draft, at, to) => {
        const page = draft.pages[at % draft.pages.length];
        const over = to === null ? null : (draft.pages[to % draft.pages.length] ?? null);
        if (!page) return;
        const parent = over?.id ?? null;
        const after = {
          ...draft,
          pages: draft.pages.map((one) => (one === page ? { ...one, parent } : one)),
        };
        const [was, is] = [heightsOf(draft), heightsOf(after)];
        const of = (heights: typeof was, id: string) =>
          lowest([heights.site, heights.pages.get(id) ?? 'private']);
        const told = landing(draft, page.id, parent);
        expect([told.before, told.after.height]).toEqual([of(was, page.id), of(is, page.id)]);
        const changed = draft.pages.filter((one) => one !== page && of(was, one.id) !== of(is, one.id));
        const lower = changed.filter(
          (one) => heightLevel(of(is, one.id)) < heightLevel(of(was, one.id)),
        ).length;
        expect(told.below).toEqual({ lower, higher: changed.length - lower });
      }),
    );
  });

  test('says what would hold it there', () => {
    const [draft] = fc.sample(
      draftArbitrary.filter(({ pages }) => pages.length > 1),
      { numRuns: 1, seed: 7 },
    );
    const [one, two] = draft?.pages ?? [];
    if (!draft || !one || !two) throw new Error('No draft to look at.');
    const flat = {
      site: { ...draft.site, height: 'public' as const },
      pages: [
        { ...one, parent: null, height: 'unlisted' as const, archived: false },
        { ...two, parent: null, height: 'public' as const, archived: false },
      ],
    };
    expect(landing(flat, two.id, one.id)).toEqual({
      before: 'public',
      after: { chosen: 'public', height: 'unlisted', heldBy: { kind: 'page', id: one.id, title: one.title } },
      below: { lower: 0, higher: 0 },
    });
  });
});
