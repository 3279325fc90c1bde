import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixedDraftArbitrary } from '#core/access/arbitrary-draft.ts';
import { seenBy, type SiteView } from '#core/access/seen-by.ts';
import { draftPaths } from '#contract/material-paths.ts';
import { draftSources } from './draft-sources.ts';
import { pageInputs } from './page-inputs.ts';
import { resumeFacts } from '#core/resume/resume-content-of.ts';
import { viewAround } from './view-around.ts';

const inputOf = (view: SiteView | null, id: string) =>
  view && pageInputs(view, draftSources(Object.values(view.materials), new Map(), draftPaths, '/'), null, id);

test('a page is drawn from what stands around it just as from the whole site', () => {
  fc.assert(
    fc.property(mixedDraftArbitrary, (draft) => {
      for (const { id } of draft.pages)
        expect(inputOf(viewAround(draft, id), id)).toEqual(inputOf(seenBy(draft, { kind: 'maker' }), id));
    }),
  );
});

test('what stands on pages far from it is not looked at, but for groups, which are few', () => {
  fc.assert(
    fc.property(mixedDraftArbitrary, (draft) => {
      for (const page of draft.pages.filter(({ kind }) => kind === 'project')) {
        const seen = viewAround(draft, page.id)?.pages ?? [];
        const looked = seen.filter(
          (one) =>
            one.kind !== 'group' &&
            one.parts.some(({ kind }) => kind !== 'process' && !resumeFacts.includes(kind)),
        );
        expect(looked.length).toBeLessThanOrEqual(3);
      }
    }),
  );
});
