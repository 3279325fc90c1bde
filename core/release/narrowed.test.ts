import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import { effectiveHeight } from '../access/effective-height.ts';
import { seenBy } from '../access/seen-by.ts';
import { heightLevel } from '../content/height.ts';
import { narrowed } from './narrowed.ts';
import { releasable } from './released.ts';

describe('narrowed', () => {
  test('shows nobody what the draft now keeps from them, and nothing they did not see before', () => {
    fc.assert(
      fc.property(draftArbitrary, draftArbitrary, (live, draft) => {
        // Both at the same site height: the site's own height is closed at the door, not here.
        const now = { ...draft, site: live.site };
        const released = releasable(live);
        const result = narrowed(released, now) ?? released;
        for (const kind of ['stranger', 'site-link'] as const) {
          const before = seenBy(released, { kind });
          const after = seenBy(result, { kind });
          for (const page of after?.pages ?? []) {
            const was = before?.pages.find(({ id }) => id === page.id);
            expect(was?.title).toBe(page.title);
            const current = now.pages.find(({ id }) => id === page.id);
            if (current)
              expect(heightLevel(current.height)).toBeGreaterThanOrEqual(
                heightLevel(effectiveHeight(result, { page: page.id }).height),
              );
          }
        }
      }),
    );
  });

  test('is null when nothing was lowered, and settles after one step', () => {
    fc.assert(
      fc.property(draftArbitrary, draftArbitrary, (live, draft) => {
        expect(narrowed(releasable(live), live)).toBeNull();
        const once = narrowed(live, draft);
        if (once) expect(narrowed(once, draft)).toBeNull();
      }),
    );
  });
});
