import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { FileTree, Manifest } from './manifest.ts';
import { manifestAfter, manifestDifference } from './manifest-difference.ts';

const file = fc.record(
  {
    hash: fc.constantFrom('a', 'b', 'c').map((letter) => letter.repeat(64)),
    type: fc.constantFrom('text/html', 'image/avif'),
    bytes: fc.nat(3),
    immutable: fc.boolean(),
    of: fc.array(fc.constantFrom('part-0001', 'part-0002'), { maxLength: 2 }),
    download: fc.constantFrom('a.pdf', 'b.pdf'),
  },
  { requiredKeys: ['hash', 'type', 'bytes', 'immutable'] },
);
const tree: fc.Arbitrary<FileTree> = fc.dictionary(
  fc.constantFrom('index.html', 'a/index.html', 'files/1.avif', 'files/2.avif'),
  file,
);
const manifest: fc.Arbitrary<Manifest> = fc.record({
  public: fc.option(tree),
  siteLink: fc.option(tree),
  pageLinks: fc.dictionary(fc.constantFrom('page-0001', 'page-0002'), tree),
});

describe('the difference between two manifests', () => {
  test('gives back the one it leads to, whatever the other was', () => {
    fc.assert(
      fc.property(manifest, manifest, (from, to) => {
        const kept = JSON.parse(JSON.stringify(manifestDifference(from, to))) as ReturnType<
          typeof manifestDifference
        >;
        expect(manifestAfter(from, kept)).toEqual(to);
      }),
    );
  });

  test('is nothing between a manifest and itself, and one file where one is another', () => {
    fc.assert(
      fc.property(manifest, tree, (some, pages) => {
        const all = { ...some, public: pages };
        const same = manifestDifference(all, all);
        for (const one of [same.public, same.siteLink, ...Object.values(same.pageLinks)])
          if (one) expect(one).toEqual({ otherwise: {}, gone: [] });
        const changed = { hash: 'd'.repeat(64), type: 'text/html', bytes: 9, immutable: false };
        const { public: difference } = manifestDifference(all, {
          ...all,
          public: { ...pages, 'index.html': changed },
        });
        expect(difference).toEqual({ otherwise: { 'index.html': changed }, gone: [] });
      }),
    );
  });
});
