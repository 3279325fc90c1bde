import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import { copyOfPage } from './copy-of-page.ts';
import { pageSchema, shownOn } from './page.ts';

test('a copy says the same, is Private, and shares no id with its original', () => {
  fc.assert(
    fc.property(draftArbitrary, ({ pages }) => {
      let next = 0;
      for (const page of pages) {
        const copy = copyOfPage(page, { rank: 'z', slug: 'copy' }, () => `copied-${next++}`);
        expect(copy).toMatchObject({ height: 'private', summary: page.summary, slug: 'copy' });
        const ids = [copy.id, ...copy.parts.map(({ id }) => id)];
        expect(new Set([...ids, page.id, ...page.parts.map(({ id }) => id)]).size).toBe(2 * ids.length);
        expect(shownOn(pageSchema.parse(copy)).parts.map(({ kind }) => kind)).toEqual(
          page.parts.map(({ kind }) => kind),
        );
      }
    }),
    { numRuns: 40 },
  );
});
