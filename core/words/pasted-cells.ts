import Papa from 'papaparse';
import type { Block } from './rich-text.ts';
import { structureFromHtml } from './blocks-from-html.ts';
import { oneLine } from './one-line.ts';
import { plainText } from './rich-text.ts';

/** What was copied somewhere, as the clipboard holds it; empty where it holds no such form. */
export interface Copied {
  html: string;
  text: string;
}

const wordsOf = (content: Block[]): string => oneLine(plainText({ type: 'doc', content }));

/**
 * Rows of cells out of what was copied in a spreadsheet, a table on a web page or a document: the first table of its HTML,
 * else tab-separated text (TSV as spreadsheets put it on the clipboard, with quotes around cells of several lines).
 *
 * @returns each row with as many cells as the longest; null for what is no more than one cell
 */
export function pastedCells({ html, text }: Copied): string[][] | null {
  const table =
    html === ''
      ? undefined
      : structureFromHtml(html)
          .flatMap((one) => (one.type === 'block' ? [one.block] : []))
          .find((block) => block.type === 'table');
  const rows = table
    ? table.content.map((row) => row.content.map((cell) => wordsOf(cell.content)))
    : /[\t\n]/.test(text.trimEnd())
      ? Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' }).data.map((row) =>
          row.map(oneLine),
        )
      : [];
  const columns = Math.max(0, ...rows.map((row) => row.length));
  if (rows.length * columns <= 1) return null;
  return rows.map((row) => Array.from({ length: columns }, (_, at) => row[at] ?? ''));
}
