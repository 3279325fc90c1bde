import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { loweredBy } from '../release/ceilings.ts';
import { shownOn } from '../pages/page.ts';
import type { Part } from '../parts/parts.ts';
import type { Draft } from '../sites/site.ts';
import { draftArbitrary, marker, mixedDraftArbitrary } from './arbitrary-draft.ts';
import { effectiveHeight } from './effective-height.ts';
import { entrancesOf } from './entrances.ts';
import { heightLevel } from './height.ts';
import { heightsOf } from './heights-of.ts';
import { raisedBy } from './raised-by.ts';
import { seenBy } from './seen-by.ts';
import type { Viewer } from './viewer.ts';

const underAge = <D extends Draft>(draft: D): D => ({
  ...draft,
  site: { ...draft.site, underAge: true, contact: 'form' as const },
});
/** What lets somebody be known, found or written to, told a second time and by its kind. */
const tells = (part: Part): boolean =>
  part.kind === 'full-name' ||
  part.kind === 'contact' ||
  (part.kind === 'portrait' && part.form === 'photo' && part.face) ||
  (part.kind === 'place' && ['street', 'town'].includes(part.exactness));

describe('somebody under 18', () => {
  test('is found by no stranger, whatever they chose', () => {
    fc.assert(
      fc.property(mixedDraftArbitrary, (draft) => {
        expect(seenBy(underAge(draft), { kind: 'stranger' })).toBeNull();
        expect(entrancesOf(underAge(draft)).public).toBeNull();
      }),
    );
  });

  test('gives nobody without a pass a full name, a face, an exact place or a way to write to them', () => {
    fc.assert(
      fc.property(mixedDraftArbitrary, fc.nat(9), (draft, at) => {
        const viewers: Viewer[] = [{ kind: 'site-link' }, { kind: 'page-link', page: `page-${at}` }];
        for (const viewer of viewers) {
          const view = seenBy(underAge(draft), viewer);
          const told = JSON.stringify(view);
          expect(told).not.toContain('wren@demo.example');
          for (const part of draft.pages.flatMap((page) => shownOn(page).parts).filter(tells)) {
            expect(view?.pages.flatMap(({ parts }) => parts).some(({ id }) => id === part.id) ?? false).toBe(
              false,
            );
            expect(told).not.toContain(`called ${marker.part(part.id)}`);
          }
        }
      }),
      { numRuns: 300 },
    );
  });

  test('and has everything else as before: for the maker, for a pass, and again once it is switched off', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        for (const viewer of [
          { kind: 'maker' },
          { kind: 'pass', covers: 'site', downloads: true },
        ] as const) {
          const [was, is] = [seenBy(draft, viewer), seenBy(underAge(draft), viewer)];
          expect(is?.pages).toEqual(was?.pages);
          expect(is?.materials).toEqual(was?.materials);
        }
        const on = { ...draft, site: { ...draft.site, underAge: true } };
        const off = { ...on, site: { ...on.site, underAge: false } };
        expect(heightsOf(off)).toEqual(heightsOf(draft));
      }),
    );
  });

  test('closes by the switch what flew higher, and nothing else; and rises again only with a question', () => {
    fc.assert(
      fc.property(draftArbitrary, (draft) => {
        const lowered = loweredBy(draft, underAge(draft));
        const wasPublic = draft.site.height === 'public';
        expect(lowered.has(draft.site.id)).toBe(wasPublic);
        const { parts } = heightsOf(draft);
        for (const page of draft.pages)
          for (const part of page.parts) {
            const high = heightLevel(parts.get(page.id)?.get(part.id) ?? 'private') > heightLevel('invited');
            expect([part.kind, lowered.has(part.id)]).toEqual([part.kind, tells(part) && high]);
          }
        if (wasPublic) expect(raisedBy(underAge(draft), draft)).not.toEqual([]);
      }),
    );
  });

  test('is told what holds a thing down', () => {
    const [draft] = fc.sample(draftArbitrary, { numRuns: 1, seed: 21 });
    const [page] = draft?.pages ?? [];
    if (!draft || !page) throw new Error('no sample');
    const name: Part = { id: 'part-name', height: 'public', kind: 'full-name', text: 'Wren Tolliver' };
    const open: Draft = {
      ...underAge(draft),
      pages: [{ ...page, height: 'public', parent: null, archived: false, parts: [name] }],
    };
    open.site.height = 'public';
    expect(effectiveHeight(open, {})).toMatchObject({ height: 'unlisted', heldBy: { kind: 'under-age' } });
    expect(effectiveHeight(open, { page: page.id, part: 'part-name' })).toMatchObject({
      chosen: 'public',
      height: 'invited',
      heldBy: { kind: 'under-age' },
    });
  });
});
