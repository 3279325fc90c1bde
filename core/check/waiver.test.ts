import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { digestOf } from './digest.ts';
import { mostWaivers, waivedBecause, waiverSchema, withoutWaiver, withWaiver } from './waiver.ts';

const finding = { key: 'alt page-1 part-1 a-picture', of: digestOf('') };

// The first 64 bits of “abc” as FIPS 180-4 has it in its example (NIST, “SHA256 examples”); from memory.
test('the digest is that of the standard', () => {
  expect(digestOf('abc')).toBe('ba7816bf8f01cfea');
});

test('what is let stand stays so until what it speaks of changes, and is told again when taken back', () => {
  const waived = withWaiver([], finding, ' It is a pattern. ');
  expect(waived).toEqual([{ ...finding, reason: 'It is a pattern.' }]);
  expect(waivedBecause(waived, finding)).toBe('It is a pattern.');
  expect(waivedBecause(waived, { ...finding, of: digestOf('other') })).toBeNull();
  expect(waivedBecause(waived, { ...finding, key: 'alt page-2' })).toBeNull();
  expect(waivedBecause(withoutWaiver(waived, finding), finding)).toBeNull();
});

test('said twice, the last reason counts; whatever was said before can be kept', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ key: fc.constantFrom('a', 'b', 'c'), reason: fc.string({ maxLength: 300 }) })),
      (said) => {
        const waived = said.reduce(
          (list, { key, reason }) => withWaiver(list, { key, of: finding.of }, reason),
          withWaiver([], finding, ''),
        );
        for (const one of waived) expect(waiverSchema.parse(one)).toEqual(one);
        expect(new Set(waived.map(({ key }) => key)).size).toBe(waived.length);
        for (const key of new Set(said.map((one) => one.key)))
          expect(waivedBecause(waived, { key, of: finding.of })).toBe(
            said.findLast((one) => one.key === key)?.reason.trim(),
          );
      },
    ),
  );
});

test('of too many the oldest give way', () => {
  const many = Array.from({ length: mostWaivers }, (_, at) => ({
    ...finding,
    key: `number ${at}`,
    reason: '',
  }));
  const waived = withWaiver(many, finding, 'New.');
  expect(waived).toHaveLength(mostWaivers);
  expect(waived[0]?.key).toBe('number 1');
  expect(waivedBecause(waived, finding)).toBe('New.');
});
