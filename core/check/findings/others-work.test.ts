import { describe, expect, test } from '@jest/globals';
import { mine } from '../../credits/provenance.ts';
import { of, says, withPicture } from '../sample-checked-page.ts';

describe('works of others', () => {
  const theirs = { ...mine, whose: 'someone-else' as const, maker: 'Ana', source: 'Town archive' };

  test('without source or licence are Needed; a maker nobody named is Nice to have', () => {
    const weights = (provenance: object) =>
      of('credit', withPicture({ provenance: { ...theirs, ...provenance } })).map((one) => one.weight);
    expect(weights({})).toEqual(['needed']);
    expect(weights({ licence: 'CC-BY-4.0', source: '' })).toEqual(['needed']);
    expect(weights({ licence: 'CC-BY-4.0', maker: '' })).toEqual(['nice']);
    expect(weights({ licence: 'CC-BY-4.0', maker: '', makerUnknown: true })).toEqual([]);
    expect(weights({ whose: 'with-others', maker: '' })).toEqual(['nice']);
    expect(weights({ whose: 'mine' })).toEqual([]);
  });

  test('that may be shown only as they are, and are not', () => {
    const cut = { crop: { x: 0, y: 0, width: 0.5, height: 1 }, turn: 2 };
    const said = (licence: 'CC-BY-NC-ND-4.0' | 'CC-BY-NC-4.0', fixes: object, whose = 'someone-else') =>
      says('licence', withPicture({ fixes, provenance: { ...theirs, whose: whose as 'mine', licence } }));
    expect(said('CC-BY-NC-ND-4.0', cut)).toEqual([
      '“Dial” is cut and turned, and its licence lets it be shown only as it is.',
    ]);
    expect(said('CC-BY-NC-ND-4.0', {})).toEqual([]);
    expect(said('CC-BY-NC-4.0', cut)).toEqual([]);
    expect(said('CC-BY-NC-ND-4.0', cut, 'mine')).toEqual([]);
  });
});
