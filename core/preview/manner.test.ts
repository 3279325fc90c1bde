import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { inManner, type Manner, plainManner, readInManner } from './manner.ts';

const manners: fc.Arbitrary<Manner> = fc.record({
  scheme: fc.constantFrom('light', 'dark', null),
  withoutPictures: fc.boolean(),
  withoutScript: fc.boolean(),
  onPaper: fc.boolean(),
  framed: fc.boolean(),
});

describe('a manner in an address', () => {
  test('is read as it was written, whoever reads', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[a-z0-9-]+$/), manners, (reader, manner) => {
        expect(readInManner(inManner(reader, manner))).toEqual({ reader, manner });
      }),
    );
  });

  test('that is none besides is only the reader, as it was before there were manners', () => {
    expect(inManner('pass-abcdef', {})).toBe('pass-abcdef');
    expect(readInManner('pass-abcdef')).toEqual({ reader: 'pass-abcdef', manner: plainManner });
  });

  test('is one step of a path, with nothing that has to be escaped', () => {
    const all = inManner('stranger', {
      ...{ scheme: 'dark', withoutPictures: true, withoutScript: true },
      ...{ onPaper: true, framed: true },
    });
    expect(all).toBe('stranger~dark~without-pictures~without-script~on-paper~framed');
    expect(new URL(all, 'http://studio.example/').pathname).toBe(`/${all}`);
  });

  test.each(['stranger~upside-down', 'stranger~', 'stranger~Dark'])('%s is none', (step) => {
    expect(readInManner(step)).toBeNull();
  });
});
