import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isAmounts, totalOf } from './amounts.ts';
import { withHeld } from './held-in.ts';
import { isEmptyPart } from './is-empty-part.ts';
import { type PartOf, partSchema } from './parts.ts';
import { seenPart } from './seen-part.ts';

/** On a page that names nobody, with nothing beside it. */
const alone = {
  ...{ credits: [], opens: () => false, work: () => null, proves: () => false },
  ...{ moments: () => [], phases: [], downloads: true },
};

const table: PartOf<'table'> = {
  id: 'part-one',
  height: 'public',
  kind: 'table',
  title: 'What it is made of',
  columns: [
    { id: 'column-1', name: 'Material', height: 'public', sum: false },
    { id: 'column-2', name: 'Metres', height: 'public', sum: true },
    { id: 'column-3', name: 'Cost', height: 'private', sum: true },
  ],
  rows: [
    ['Batten', '2,4', '€ 6.10'],
    ['', '', ''],
    ['Strap', '1,2', '€ 2.35'],
  ],
};

describe('a table', () => {
  test('is what readers get of it: no heights, no ids, no blank rows, sums where asked', () => {
    expect(partSchema.parse(table)).toEqual(table);
    expect(seenPart(table, alone)).toEqual({
      id: 'part-one',
      kind: 'table',
      title: 'What it is made of',
      columns: [
        { name: 'Material', numbers: false, sum: null },
        { name: 'Metres', numbers: true, sum: '3,6' },
        { name: 'Cost', numbers: true, sum: '€\u00a08.45' },
      ],
      rows: [
        ['Batten', '2,4', '€ 6.10'],
        ['Strap', '1,2', '€ 2.35'],
      ],
    });
  });

  test('a column that is left out takes its cells with it', () => {
    const open = withHeld(table, (held) => (held.height === 'public' ? held : null));
    expect(JSON.stringify(open)).not.toMatch(/Cost|€/);
    expect(seenPart(open, alone)).toMatchObject({
      rows: [
        ['Batten', '2,4'],
        ['Strap', '1,2'],
      ],
    });
    expect(isEmptyPart(withHeld(table, () => null))).toBe(true);
  });

  test('is empty while no cell says anything, whatever its columns are called', () => {
    expect(isEmptyPart({ ...table, rows: [['', ' ', '']] })).toBe(true);
    expect(isEmptyPart(table)).toBe(false);
  });

  test('takes no two columns of one id', () => {
    const [one] = table.columns;
    expect(partSchema.safeParse({ ...table, columns: [one, one] }).success).toBe(false);
  });
});

describe('a sum', () => {
  // Each as people write it: decimal comma and decimal point, thousands by point, comma, space and apostrophe (ISO 31-0
  // and common practice in price lists).
  test.each<[string[], string]>([
    [['0.10', '0.20'], '0.30'],
    [['0,10', '0,20'], '0,30'],
    [['1.250,50', '1'], '1251,50'],
    [['1,250.50', '1'], '1251.50'],
    [['1 250,5', '0,05'], '1250,55'],
    [['1’250.00', '2'], '1252.00'],
    [['1.250', '2'], '1252'],
    [['1.250', '0,5'], '1250,5'],
    [['12 €', '3 €'], '15\u00a0€'],
    [['€12', '-€ 2'], '€\u00a010'],
    [['3 m', '4 m', ''], '7\u00a0m'],
    [['−5', '2'], '-3'],
    [['7'], '7'],
  ])('%j is %s', (cells, sum) => expect(totalOf(cells)).toEqual({ kind: 'sum', text: sum }));

  test.each<[string[], string]>([
    [['', ' '], 'empty'],
    [['12', 'free'], 'words'],
    [['1.2.3,4,5'], 'words'],
    [['0.5', '0,5'], 'words'],
    [['12 €', '3 m'], 'units'],
    [['12 €', '3'], 'units'],
  ])('%j is none: %s', (cells, why) => expect(totalOf(cells)).toEqual({ kind: 'none', why }));

  test('is exact for any whole numbers of cents, where floating point is not', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 10 ** 12 }), { minLength: 1, maxLength: 30 }),
        (cents) => {
          const text = (n: bigint) => `${n / 100n}.${String(n % 100n).padStart(2, '0')}`;
          const total = totalOf(cents.map((one) => text(BigInt(one))));
          const sum = cents.reduce((all, one) => all + BigInt(one), 0n);
          expect(total).toEqual({ kind: 'sum', text: text(sum) });
        },
      ),
    );
  });

  test('whatever was typed, it says something and ends', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 80 })), (cells) => {
        expect(['sum', 'none']).toContain(totalOf(cells).kind);
        expect(typeof isAmounts(cells)).toBe('boolean');
      }),
    );
  });
});
