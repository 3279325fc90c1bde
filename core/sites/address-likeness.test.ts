import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { addressLikeness } from './address-likeness.ts';

/** Pairs from memory of the table of Unicode Technical Standard 39 (confusables.txt): m and rn, 1 and l, 0 and O. */
describe('what an address looks like', () => {
  test.each([
    ['wren-makes', 'wren-rnakes'],
    ['paula', 'pau1a'],
    ['studio-oak', 'studi0-0ak'],
    // Not to be typed into an address here, and the same skeleton by the standard: Cyrillic letters.
    ['paper', 'рареr'],
  ])('%s and %s are alike', (one, other) => {
    expect(addressLikeness(one)).toBe(addressLikeness(other));
  });

  test.each([
    ['wren', 'wrens'],
    ['wren-2', 'wren-3'],
    ['ina', 'lna'],
    ['dial', 'clial'],
  ])('%s and %s are not', (one, other) => {
    expect(addressLikeness(one)).not.toBe(addressLikeness(other));
  });

  test('what an older database’s rows were given is the same', () => {
    // See the migration that added it.
    const bySql = (address: string) =>
      address.replaceAll('0', 'o').replaceAll('1', 'l').replaceAll('m', 'rn');
    fc.assert(
      fc.property(fc.stringMatching(/^[a-z0-9-]{1,40}$/), (address) => {
        expect(addressLikeness(address)).toBe(bySql(address));
        expect(addressLikeness(addressLikeness(address))).toBe(addressLikeness(address));
      }),
    );
  });
});
