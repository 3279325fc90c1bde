import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { addressSchema } from './address.ts';
import { pageSlug } from '../pages/page-slug.ts';
import { suggestAddresses } from './suggest-addresses.ts';

describe('addresses', () => {
  test.each(['wren-makes', 'abc', 'a1-b2-c3'])('%s is fine', (address) => {
    expect(addressSchema.safeParse(address).success).toBe(true);
  });

  test.each([
    'ab',
    '-abc',
    'abc-',
    'a--b',
    'Wren',
    'wren makes',
    'api',
    'studio',
    '../etc',
    'wren.html',
    'x'.repeat(41),
  ])('%s is refused with a sentence', (address) => {
    const result = addressSchema.safeParse(address);
    expect(result.success).toBe(false);
    expect(result.error?.issues[0]?.message).toMatch(/[a-z].*\./);
  });

  test('every suggestion for any name can be used as it is', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 80 }), (name) => {
        for (const address of suggestAddresses(name))
          expect(addressSchema.safeParse(address).success).toBe(true);
      }),
    );
  });

  test('suggestions are made of the title, the name, the field and the year, and double no word', () => {
    const offered = suggestAddresses('Wren makes', { name: 'Wren Ode', field: 'Product design', year: 2026 });
    expect(offered.slice(0, 4)).toEqual([
      'wren-makes',
      'wren-ode',
      'wren-makes-product-design',
      'wren-ode-product-design',
    ]);
    expect(offered).toContain('wren-ode-2026');
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), fc.string({ maxLength: 40 }), (title, name) => {
        const all = suggestAddresses(title, { name, field: title, year: 2026 });
        expect(new Set(all).size).toBe(all.length);
      }),
    );
  });

  test('page slugs are never taken, empty, or the renderer’s own folders', () => {
    expect(pageSlug('Files', new Set())).toBe('files-2');
    fc.assert(
      fc.property(fc.array(fc.string({ unit: 'grapheme', maxLength: 20 }), { maxLength: 12 }), (titles) => {
        const taken = new Set<string>();
        for (const title of titles) {
          const slug = pageSlug(title, taken);
          expect(slug).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/);
          expect(taken.has(slug)).toBe(false);
          taken.add(slug);
        }
      }),
    );
  });
});
