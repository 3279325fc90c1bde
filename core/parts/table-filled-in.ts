import type { Id } from '../id.ts';
import { cut } from '../words/cut.ts';
import { isAmounts } from './amounts.ts';
import { mostColumns, mostRows, type Table } from './table.ts';

/**
 * A table with cells put in from one cell on, to the right and downwards; rows and columns that are missing are added. A
 * table that says nothing yet takes its columns' names from the first row, where that has none of the numbers below it.
 *
 * @param cells rows of equal length
 * @param newId makes ids for added columns
 * @returns the table, and how many cells that say something found no room
 */
export function filledIn(
  table: Table,
  cells: readonly (readonly string[])[],
  from: { row: number; column: number },
  newId: () => Id,
): { table: Table; left: number } {
  const blank =
    table.columns.every(({ name }) => name.trim() === '') &&
    table.rows.every((row) => row.every((cell) => cell.trim() === ''));
  const [first = [], ...below] = cells;
  const named = blank && below.length > 0 && first.every((cell) => cell.trim() !== '' && !isAmounts([cell]));
  const start = blank ? { row: 0, column: 0 } : from;
  const body = named ? below : cells;
  const width = Math.min(mostColumns, Math.max(table.columns.length, start.column + first.length));
  const height = Math.min(mostRows, Math.max(blank ? 0 : table.rows.length, start.row + body.length));
  let left = named ? first.length - Math.min(width, first.length) : 0;
  body.forEach((row, r) =>
    row.forEach((cell, c) => {
      if (cell.trim() !== '' && (start.row + r >= height || start.column + c >= width)) left++;
    }),
  );
  const columns = Array.from(
    { length: blank ? Math.min(width, Math.max(first.length, 1)) : width },
    (_, at) => {
      const column = table.columns[at] ?? { id: newId(), name: '', height: 'public' as const, sum: false };
      return named ? { ...column, name: cut(first[at] ?? '', 80) } : column;
    },
  );
  const rows = Array.from({ length: height }, (_, r) =>
    columns.map((_column, c) => {
      const pasted = body[r - start.row]?.[c - start.column];
      return pasted === undefined ? (table.rows[r]?.[c] ?? '') : cut(pasted, 400);
    }),
  );
  return { table: { ...table, columns, rows }, left };
}
