import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { findNamed, type Names } from './find-named.ts';

const names = (name: string, also = ''): Names => ({ name, also });
const things = [
  names('Tide clock'),
  names('The wall clock', 'IMG_0412.jpg school'),
  names('Café table', 'workshop clock'),
  names('Clock tower'),
];
const found = (query: string) => findNamed(things, query, (one) => one).map(({ name }) => name);

describe('finding by a piece of a name', () => {
  test('what begins with it comes first, then what is called so, then what has it elsewhere', () => {
    expect(found('clock')).toEqual(['Clock tower', 'Tide clock', 'The wall clock', 'Café table']);
    expect(found('clock t')).toEqual(['Clock tower', 'Tide clock', 'The wall clock', 'Café table']);
  });

  test('words in any order, without accents and case, and from different fields', () => {
    expect(found('CLOCK tide')).toEqual(['Tide clock']);
    expect(found('cafe')).toEqual(['Café table']);
    expect(found('wall 0412')).toEqual(['The wall clock']);
    expect(found('wall tower')).toEqual([]);
  });

  test('an empty query leaves everything as it was', () => {
    expect(found('  ')).toEqual(things.map(({ name }) => name));
  });

  test('finds every name by itself and by each of its words, and never the same thing twice', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: 'grapheme', maxLength: 12 }), { maxLength: 8 }), (all) => {
        const list = all.map((name) => names(name));
        for (const one of list) {
          const by = findNamed(list, one.name, (each) => each);
          expect(by).toContain(one);
          expect(new Set(by).size).toBe(by.length);
        }
      }),
    );
  });
});
