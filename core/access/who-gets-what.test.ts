import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shownOn } from '../pages/page.ts';
import { draftArbitrary, mixedDraftArbitrary } from './arbitrary-draft.ts';
import { entrancesOf } from './entrances.ts';
import { seenBy } from './seen-by.ts';
import type { Viewer } from './viewer.ts';
import { whoGetsWhat } from './who-gets-what.ts';

const viewers: Viewer[] = [
  { kind: 'stranger' },
  { kind: 'site-link' },
  { kind: 'pass', covers: 'site', downloads: true },
  { kind: 'pass', covers: ['page-0', 'page-2'], downloads: false },
  { kind: 'pass', covers: ['page-1'], downloads: true },
  { kind: 'maker' },
];

describe('who gets what', () => {
  test('is what a release would hold for each of them', () => {
    fc.assert(
      fc.property(mixedDraftArbitrary, (draft) => {
        const { pageLinks } = entrancesOf(draft);
        const views = viewers.map((viewer) => seenBy(draft, viewer));
        for (const { page, gets } of whoGetsWhat(draft, viewers))
          gets.forEach((one, at) => {
            const seen = views[at]?.pages.some(({ id }) => id === page) ?? false;
            expect([page, at, one === 'yes']).toEqual([page, at, seen]);
            const own = viewers[at]?.kind === 'site-link' && !seen && Object.hasOwn(pageLinks, page);
            expect([page, at, one === 'by-its-own-link']).toEqual([page, at, own]);
          });
      }),
    );
  });

  test('tells of a part only where somebody gets the page and not the part, and never of one that they do not get', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        for (const { page, gets, parts } of whoGetsWhat(draft, viewers)) {
          const there = new Set(
            shownOn(draft.pages.find(({ id }) => id === page) ?? never()).parts.map(({ id }) => id),
          );
          for (const { part, gets: ofPart } of parts) {
            expect(there.has(part)).toBe(true);
            expect(ofPart).not.toEqual(gets);
            ofPart.forEach((one, at) => {
              if (one === 'yes') expect(gets[at]).toBe('yes');
            });
          }
          viewers.forEach((viewer, at) => {
            const shown = seenBy(draft, viewer)?.pages.find(({ id }) => id === page)?.parts ?? [];
            for (const { id } of shown) {
              const told = parts.find(({ part }) => part === id);
              if (told) expect(told.gets[at]).toBe('yes');
            }
          });
        }
      }),
    );
  });
});

function never(): never {
  throw new Error('A page that is told of is there.');
}
