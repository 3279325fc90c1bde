import { z } from 'zod';
import { heightSchema } from '../access/height.ts';
import { idSchema } from '../id.ts';
import { line } from '../words/line.ts';
import { isAmounts, totalOf } from './amounts.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules, showsNoMaterial } from './part-rules.ts';

export const mostColumns = 12;
export const mostRows = 200;

/** Rows and columns: what it is made of, what it cost, how long it took. */
export const tableSchema = partBase
  .extend({
    kind: z.literal('table'),
    title: line(120).default(''),
    columns: z
      .array(
        z.object({
          id: idSchema,
          name: line(80).default(''),
          /** Of its own: what something cost may be nobody's business where what it is made of is. */
          height: heightSchema.default('public'),
          /** Its numbers are added up below it. */
          sum: z.boolean().default(false),
        }),
      )
      .min(1)
      .max(mostColumns, `A table has at most ${mostColumns} columns.`),
    /** Each with one cell for each column. */
    rows: z
      .array(z.array(line(400)).max(mostColumns))
      .max(mostRows, `A table has at most ${mostRows} rows. Start another one for the rest.`),
  })
  .refine(({ columns }) => new Set(columns.map(({ id }) => id)).size === columns.length, {
    error: 'Two columns share one id.',
  });
export type Table = z.infer<typeof tableSchema>;

interface SeenTable {
  title: string;
  columns: {
    name: string;
    /** Numbers stand to the right. */
    numbers: boolean;
    /** What its numbers come to; null where nothing is added up. */
    sum: string | null;
  }[];
  rows: string[][];
}

/** The cells of one column, from the top. */
export const cellsOf = ({ rows }: Pick<Table, 'rows'>, at: number): string[] =>
  rows.map((row) => row[at] ?? '');

const isBlank = (row: readonly string[]) => row.every((cell) => cell.trim() === '');

export const table = partRules<typeof tableSchema, SeenTable>({
  ...showsNoMaterial,
  ...holdsNothing,
  schema: tableSchema,
  noun: 'table',
  start: (_, id) => ({
    title: '',
    columns: [
      { id: `${id}-1`, name: '', height: 'public', sum: false },
      { id: `${id}-2`, name: '', height: 'public', sum: false },
    ],
    rows: [
      ['', ''],
      ['', ''],
    ],
  }),
  isEmpty: ({ columns, rows }) => columns.length === 0 || rows.every(isBlank),
  seen: (part) => ({
    title: part.title,
    columns: part.columns.map(({ name, sum }, at) => {
      const cells = cellsOf(part, at);
      const total = sum ? totalOf(cells) : null;
      return { name, numbers: isAmounts(cells), sum: total?.kind === 'sum' ? total.text : null };
    }),
    rows: part.rows.filter((row) => !isBlank(row)),
  }),
  held: {
    of: ({ columns }) => columns,
    map: (part, change) => {
      const kept = part.columns.map(change);
      return {
        ...part,
        columns: kept.filter((column) => column !== null),
        // A cell goes with its column.
        rows: part.rows.map((row) => kept.flatMap((column, at) => (column === null ? [] : [row[at] ?? '']))),
      };
    },
  },
  changed: () => 'table changed',
});
