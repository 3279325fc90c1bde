import type { DocumentContent, PageWord } from '../../materials/document.ts';
import type { Block } from '../../words/rich-text.ts';
import { plainText } from '../../words/rich-text.ts';
import { plainLine } from './plain-line.ts';
import type { SourceLine } from './source-line.ts';

const isBold = (block: Block): boolean =>
  block.type === 'paragraph' &&
  (block.content ?? []).length > 0 &&
  (block.content ?? []).every(
    (one) =>
      one.type === 'hardBreak' || one.text.trim() === '' || one.marks?.some(({ type }) => type === 'bold'),
  );

/** The lines of words with structure: headings, lists, and what is broken by hand. */
function linesOfBlock(block: Block, as: SourceLine['as'] = 'plain'): SourceLine[] {
  switch (block.type) {
    case 'bulletList':
    case 'orderedList':
      return block.content.flatMap(({ content }) => content.flatMap((one) => linesOfBlock(one, 'item')));
    case 'blockquote':
      return block.content.flatMap((one) => linesOfBlock(one, as));
    case 'table':
      return block.content.map(({ content }) => ({
        text: content
          .map((cell) => plainText({ type: 'doc', content: cell.content }).replace(/\s+/g, ' ').trim())
          .filter(Boolean)
          .join(' | '),
        ...{ as, strong: false, gap: true },
      }));
    default: {
      const text = (block.content ?? []).map((one) => (one.type === 'hardBreak' ? '\n' : one.text)).join('');
      return text.split('\n').map((line, at) => ({
        text: line.replace(/\s+/g, ' ').trim(),
        as: block.type === 'heading' ? 'heading' : as,
        strong: isBold(block),
        gap: as !== 'item' && at === 0,
      }));
    }
  }
}

interface Row {
  text: string;
  left: number;
  right: number;
  top: number;
  height: number;
  isItem: boolean;
  /** How wide its first word is. */
  first: number;
}

const median = (numbers: readonly number[]): number =>
  [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)] ?? 0;
/** A hyphen at the end of a line comes as this sign. */
const hyphen = String.fromCodePoint(2);

const bullet = /^[-*•◦▪‣·–—●○]$/u;

/** Words of a page as the rows that they stand in. */
function rowsOf(words: readonly PageWord[]): Row[] {
  const rows: Row[] = [];
  for (const { text: letters, x, y, width, height, startsLine } of words) {
    const text = letters.replaceAll(hyphen, '-');
    const row = rows.at(-1);
    const middle = y + height / 2;
    // What stands beside it is of the same row, also where the file begins anew there.
    if (row && (!startsLine || (middle > row.top && middle < row.top + row.height && x > row.right))) {
      row.text += x - row.right > 0.04 ? `    ${text}` : ` ${text}`;
      row.right = Math.max(row.right, x + width);
      row.height = Math.max(row.height, height);
    } else
      rows.push({
        ...{ text, left: x, right: x + width, top: y, height, isItem: false },
        first: width,
      });
  }
  return rows.map((row) => {
    const [first = '', ...rest] = row.text.split(' ');
    return bullet.test(first) && rest.length > 0
      ? { ...row, text: rest.join(' ').trim(), isItem: true }
      : row;
  });
}

/** The lines of a page: rows that were broken for their width are joined, larger ones stand out, those further in are items. */
function linesOfPage(words: readonly PageWord[]): SourceLine[] {
  const rows = rowsOf(words);
  if (rows.length === 0) return [];
  // Boxes are those of the letters: a row of few words may have none that reach high or low.
  const size =
    median(rows.filter(({ text }) => text.split(' ').length > 3).map(({ height }) => height)) ||
    median(rows.map(({ height }) => height));
  const pitch = median(
    rows.slice(1).flatMap(({ top }, at) => {
      const step = top - (rows[at]?.top ?? 0);
      return step > size * 0.5 && step < size * 3 ? [step] : [];
    }),
  );
  const edge = Math.min(...rows.map(({ left }) => left));
  // Where words end at the right: as far from the edge as at the left, if none reaches further.
  const right = Math.max(1 - edge, ...rows.map((row) => row.right));
  const lines: (SourceLine & { last: Row })[] = [];
  for (const row of rows) {
    const before = lines.at(-1);
    const step = before ? row.top - before.last.top : Infinity;
    const strong = row.height > size * 1.22;
    const isItem = row.isItem || (row.left > edge + 0.02 && !strong);
    const isRest =
      before &&
      !row.isItem &&
      !strong &&
      !before.strong &&
      step > 0 &&
      step < pitch * 1.25 &&
      // The next word had no room in the row before, and nothing was set apart in it.
      before.last.right + row.first + 0.004 > right &&
      !before.last.text.includes('    ') &&
      row.left >= before.last.left - 0.005 &&
      // Behind the end of a sentence an item is as likely as the rest of one, and two lines say no less than one.
      !(isItem && /[.!?]$/.test(before.last.text) && /^\p{Lu}/u.test(row.text));
    if (isRest) {
      before.text += ` ${row.text}`;
      before.last = row;
    } else
      lines.push({
        text: row.text,
        as: isItem ? 'item' : 'plain',
        strong,
        gap: step < 0 || step > pitch * 1.25,
        last: row,
      });
  }
  return lines.map(({ last: _, ...line }) => line);
}

/** The lines of a document that was read: by its structure where it has one, of a PDF by where its words stand. */
export function sourceLinesOfDocument({ pages, pieces }: DocumentContent): SourceLine[] {
  const found =
    pages.length > 0
      ? pages.flatMap(linesOfPage)
      : pieces.flatMap((piece) =>
          piece.type === 'words' ? piece.blocks.flatMap((one) => linesOfBlock(one)) : [],
        );
  return found.map((line) => ({ ...line, text: plainLine(line.text) })).filter(({ text }) => text !== '');
}
