import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixedDraftArbitrary } from '../access/arbitrary-draft.ts';
import { seenBy } from '../access/seen-by.ts';
import { isMoment } from '../moments/moments-of.ts';
import { nothingShown } from '../pages/page-contents.ts';
import { isShown, type Page } from '../pages/page.ts';
import { newPart } from '../parts/new-part.ts';
import type { Draft } from '../sites/site.ts';
import { proofOpens } from './proof-opens.ts';

/** A résumé whose version everybody may have. */
const resume = {
  ...{ id: 'the-resume', kind: 'resume', title: '', slug: 'cv', rank: 'zz', parent: null, height: 'public' },
  ...{ archived: false, inMenu: null, language: null, ...nothingShown },
  parts: [{ ...newPart('version', 'the-version'), height: 'public' }],
} as Page;

/** A page that strangers read, with a process of all its moments: by chance alone few of the random ones have both. */
const opened = (page: Page): Page => {
  const process = { ...newPart('process', `process-of-${page.id}`), height: 'public' as const };
  const open = { height: 'public' as const, parent: null, archived: false };
  return 'parts' in page ? { ...page, ...open, parts: [...page.parts, process] } : { ...page, ...open };
};

test('a moment proves for strangers exactly where its own page draws it for them', () => {
  const met = { open: 0, closed: 0 };
  fc.assert(
    fc.property(mixedDraftArbitrary, fc.boolean(), (made, areOpened) => {
      const draft: Draft = {
        ...made,
        site: { ...made.site, height: 'public' },
        pages: [...(areOpened ? made.pages.map(opened) : made.pages), resume],
      };
      const opens = proofOpens(draft, { page: 'the-resume', version: 'the-version' });
      const seen = new Set(
        seenBy(draft, { kind: 'stranger' })?.pages.flatMap((page) =>
          page.parts.flatMap((part) =>
            part.kind === 'process'
              ? part.moments.filter((one) => one.page === page.id).map(({ id }) => id)
              : [],
          ),
        ),
      );
      for (const page of draft.pages.filter(isShown))
        for (const { id } of page.parts.filter(isMoment)) {
          expect([id, opens({ page: page.id, part: id })]).toEqual([id, seen.has(id)]);
          met[seen.has(id) ? 'open' : 'closed']++;
        }
    }),
    { numRuns: 600 },
  );
  // It is a check of something: of both there are some hundreds.
  expect(Math.min(met.open, met.closed)).toBeGreaterThan(10);
});
