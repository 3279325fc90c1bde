import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import { seenBy } from '../access/seen-by.ts';
import type { Viewer } from '../access/viewer.ts';
import { accessChanges } from './access-changes.ts';

const viewers: Viewer[] = [
  { kind: 'stranger' },
  { kind: 'site-link' },
  { kind: 'pass', covers: ['page-1'], downloads: true },
];

test('tells of each reader the pages that come and go, as a release would have them', () => {
  fc.assert(
    fc.property(fc.option(draftArbitrary, { nil: null }), draftArbitrary, (had, next) => {
      const changes = accessChanges(had, next, viewers);
      for (const [at, viewer] of viewers.entries()) {
        const ids = (of: typeof had) => new Set(of && seenBy(of, viewer)?.pages.map(({ id }) => id));
        const [before, after] = [ids(had), ids(next)];
        expect(new Set(changes[at]?.gains)).toEqual(new Set([...after].filter((id) => !before.has(id))));
        expect(new Set(changes[at]?.loses)).toEqual(new Set([...before].filter((id) => !after.has(id))));
      }
    }),
  );
});
