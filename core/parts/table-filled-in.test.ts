import { expect, test } from '@jest/globals';
import { newPart } from './new-part.ts';
import { partSchema } from './parts.ts';
import { mostColumns, mostRows, type Table } from './table.ts';
import { filledIn } from './table-filled-in.ts';

let made = 0;
const newId = () => `column-${++made}`;
const empty = newPart('table', 'part-one') as Table;
const namesOf = ({ columns }: Table) => columns.map(({ name }) => name);

test('a table that says nothing becomes what is pasted, with its names where the first row has no numbers', () => {
  const { table, left } = filledIn(
    empty,
    [
      ['What', 'Cost'],
      ['Batten', '6.10'],
    ],
    { row: 1, column: 1 },
    newId,
  );
  expect(namesOf(table)).toEqual(['What', 'Cost']);
  expect(table.rows).toEqual([['Batten', '6.10']]);
  expect(left).toBe(0);
  expect(partSchema.safeParse(table).success).toBe(true);
  const numbers = filledIn(
    empty,
    [
      ['Batten', '6.10'],
      ['Strap', '2.35'],
    ],
    { row: 0, column: 0 },
    newId,
  ).table;
  expect(namesOf(numbers)).toEqual(['', '']);
  expect(numbers.rows).toHaveLength(2);
});

test('into a table that says something, cells go where they were put, and everything around them stays', () => {
  const said: Table = {
    ...empty,
    rows: [
      ['Batten', ''],
      ['Strap', ''],
    ],
  };
  const { table } = filledIn(
    said,
    [
      ['6.10', 'oak'],
      ['2.35', 'jute'],
      ['0', ''],
    ],
    { row: 0, column: 1 },
    newId,
  );
  expect(table.rows).toEqual([
    ['Batten', '6.10', 'oak'],
    ['Strap', '2.35', 'jute'],
    ['', '0', ''],
  ]);
  expect(table.columns.slice(0, 2)).toEqual(said.columns);
  expect(table.columns[2]).toMatchObject({ name: '', height: 'public', sum: false });
});

test('what finds no room is counted, and never more than the model takes', () => {
  const many = Array.from({ length: mostRows + 5 }, () => Array.from({ length: mostColumns + 1 }, () => 'x'));
  const { table, left } = filledIn(empty, many, { row: 0, column: 0 }, newId);
  expect(table.rows).toHaveLength(mostRows);
  expect(table.columns).toHaveLength(mostColumns);
  expect(left).toBe((mostRows + 5) * (mostColumns + 1) - (mostRows + 1) * mostColumns);
  expect(partSchema.safeParse(table).success).toBe(true);
  const long = filledIn(empty, [['y'.repeat(900), 'z']], { row: 0, column: 0 }, newId).table;
  expect(partSchema.safeParse(long).success).toBe(true);
});
