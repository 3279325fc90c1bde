import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { heightLevel } from './height.ts';
import { draftArbitrary } from './arbitrary-draft.ts';
import { effectiveHeight } from './effective-height.ts';
import { pathOfPages } from './path-of-pages.ts';
import { entrancesOf } from './entrances.ts';
import { shownOn } from '../pages/page.ts';
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
        // And for each version of a résumé that its maker set to Unlisted, where nothing holds it lower.
        const versions = draft.pages.flatMap((page) =>
          shownOn(page).parts.filter(
            ({ kind, id, height }) =>
              kind === 'version' &&
              height === 'unlisted' &&
              heightLevel(effectiveHeight(draft, { page: page.id, part: id }).height) >= 2,
          ),
        );
        expect(Object.keys(pageLinks).sort()).toEqual([...wanted, ...versions].map(({ id }) => id).sort());
        for (const { id } of versions) {
          const shown = pageLinks[id]?.pages.flatMap(({ parts }) => parts) ?? [];
          expect(shown.filter(({ kind }) => kind === 'version').map((part) => part.id)).toContain(id);
          const page = draft.pages.find((one) => shownOn(one).parts.some((part) => part.id === id));
          const own = pageLinks[id]?.pages.find((one) => one.id === page?.id)?.parts ?? [];
          expect(own.filter(({ kind }) => kind === 'version').map((part) => part.id)).toEqual([id]);
        }
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
