import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Fixes } from '../materials/fixes.ts';
import { fixesOfPage, fixesOntoPage, pageSource, withPageTurned } from './picture-source.ts';

const region = { x: 0.1, y: 0.2, width: 0.3, height: 0.1 };
const fixes: Fixes = {
  blackOut: [
    { ...region, page: 0 },
    { ...region, y: 0.5, page: 2 },
  ],
  pageTurns: [{ page: 2, turn: -90 }],
};

describe('a page of a document as a picture of its own', () => {
  test('has the fixes that lie on it, and none of another page', () => {
    expect(fixesOfPage(fixes, 0)).toEqual({ blackOut: [{ ...region, page: 0 }] });
    expect(fixesOfPage(fixes, 1)).toEqual({});
    expect(fixesOfPage(fixes, 2)).toEqual({ blackOut: [{ ...region, y: 0.5, page: 0 }], turn: -90 });
  });

  test('put back on its page, they are the same fixes', () => {
    for (const page of [0, 1, 2])
      expect(fixesOfPage(fixesOntoPage(fixesOfPage(fixes, page), page), page)).toEqual(
        fixesOfPage(fixes, page),
      );
  });

  test('turned by a quarter, width and height change places', () => {
    const page = { widthPt: 595, heightPt: 842 };
    const facts = { format: 'pdf' as const, pages: [page, page, page], words: 0 };
    const upright = pageSource({ original: 'sha', fixes, facts }, 0);
    const turned = pageSource({ original: 'sha', fixes, facts }, 2);
    expect(upright?.heightPx).toBeGreaterThan(upright?.widthPx ?? Infinity);
    expect([turned?.widthPx, turned?.heightPx]).toEqual([upright?.heightPx, upright?.widthPx]);
    expect(pageSource({ original: 'sha', fixes, facts }, 3)).toBeNull();
  });
});

describe('turning a page', () => {
  const turnOf = (one: Fixes) => one.pageTurns?.find(({ page }) => page === 1)?.turn ?? 0;

  test('goes round in quarters, and upright again leaves nothing behind', () => {
    let now: Fixes = {};
    const seen = [];
    for (let n = 0; n < 4; n++) {
      now = withPageTurned(now, 1, 90);
      seen.push(turnOf(now));
    }
    expect(seen).toEqual([90, 180, -90, 0]);
    expect(now).toEqual({});
  });

  test('one way and back is as it was, and other pages and fixes stay', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom<90 | -90>(90, -90), { maxLength: 12 }), (turns) => {
        const there = turns.reduce((now, by) => withPageTurned(now, 1, by), fixes);
        const back = turns.reduce<Fixes>((now, by) => withPageTurned(now, 1, by === 90 ? -90 : 90), there);
        expect(turnOf(back)).toBe(0);
        expect(back).toEqual(fixes);
      }),
    );
  });
});
