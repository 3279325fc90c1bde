import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mixedDraftArbitrary } from '#core/access/arbitrary-draft.ts';
import type { ManifestFile } from '#core/release/manifest.ts';
import { releasable } from '#core/release/released.ts';
import { stillOpen } from './still-open.ts';

const file = (more: Partial<ManifestFile> = {}): ManifestFile => ({
  ...{ hash: '0'.repeat(64), type: 'text/plain', bytes: 1, immutable: false },
  ...more,
});

test('while something is closed, what names several pages is closed too: the feed, and any file nobody knows the content of', () => {
  fc.assert(
    fc.property(mixedDraftArbitrary, (draft) => {
      const released = releasable(draft);
      const tree = { 'feed.xml': file(), 'new-kind-of-file.txt': file(), 'assets/site.css': file() };
      const open = stillOpen(tree, released, released, { kind: 'stranger' });
      if (open) expect(Object.keys(open)).toEqual(['assets/site.css']);
    }),
  );
});
