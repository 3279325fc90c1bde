import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { heightLevel } from './height.ts';
import { draftArbitrary } from './arbitrary-draft.ts';
import { effectiveHeight } from './effective-height.ts';
import { pathOfPages } from './path-of-pages.ts';
import { entrancesOf } from './entrances.ts';
import { ownHeight } from './own-height.ts';
import { seenBy } from './seen-by.ts';

describe('entrancesOf', () => {
  test('has a link for each page that stands in no list and reaches Unlisted, and for no other', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        const { pageLinks } = entrancesOf(draft);
        const wanted = draft.pages.filter((page) => {
          const path = pathOfPages(draft.pages, page.id) ?? [];
          const unlistedSomewhere = path.some((one) => ownHeight(one) !== 'public');
          return unlistedSomewhere && heightLevel(effectiveHeight(draft, { page: page.id }).height) >= 2;
        });
        expect(Object.keys(pageLinks).sort()).toEqual(wanted.map(({ id }) => id).sort());
        for (const { id } of wanted)
          expect(pageLinks[id]).toEqual(seenBy(draft, { kind: 'page-link', page: id }));
      }),
    );
  });

  test('shows strangers and people with the link what they may see', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        const entrances = entrancesOf(draft);
        expect(entrances.public).toEqual(seenBy(draft, { kind: 'stranger' }));
        expect(entrances.siteLink).toEqual(seenBy(draft, { kind: 'site-link' }));
      }),
    );
  });
});
