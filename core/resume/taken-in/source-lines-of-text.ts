import { trimmed } from '../../words/trimmed.ts';
import { plainLine } from './plain-line.ts';
import type { SourceLine } from './source-line.ts';

const bullet = /^\s*(?:[-*•◦▪‣·–—]|o(?=\s)|\d{1,2}[.)])\s+/u;
const mark = /^#{1,6}\s+/;
const rule = /^[\s\-=_*~–—]{3,}$/;
/** Emphasis as Markdown writes it, around a whole line or a part of it. */
const emphasis = /(\*\*|__|\*|_)(?=\S)(.+?)(?<=\S)\1/g;
const unescaped = (text: string) => text.replace(/\\([\\`*_{}[\]()#+\-.!|<>~'"])/g, '$1');

/** Longer ones are no lines of a résumé, in characters. */
const longestRow = 4000;
/** Below an item, and as far in as its words. */
const hangsIn = /^\s{2,}\S/;
/** A text whose lines are longer was not broken to a width. */
const widestColumn = 100;
/** Whether a line was broken only because its next word had no room: then the next line is the rest of it. */
const wasBroken = (before: string, next: string, width: number): boolean =>
  width <= widestColumn &&
  before.length > width / 2 &&
  before.trimEnd().length + 1 + (next.trim().split(' ')[0] ?? '').length > width;

/**
 * Lines of pasted text or of a text file, also of Markdown: signs of lists and headings are taken away and kept as what they say.
 * Lines that were only broken for their length are joined.
 */
export function sourceLinesOfText(text: string): SourceLine[] {
  const lines: SourceLine[] = [];
  let gap = false;
  let before = '';
  const rows = text
    .replace(/\r\n?/g, '\n')
    .replace(/\t/g, '    ')
    .split('\n')
    .map((row) => row.slice(0, longestRow));
  // Rows in which something is set apart were not broken to the width of the others.
  const width = rows.reduce(
    (most, row) =>
      /[\p{L}\p{N}] {3,}\S/u.test(row) || !/\p{L}/u.test(row) ? most : Math.max(most, row.trimEnd().length),
    0,
  );
  for (const raw of rows) {
    if (raw.trim() === '' || rule.test(raw)) {
      // A row of signs below a line makes it a heading.
      const last = lines.at(-1);
      if (raw.trim() !== '' && last && !gap && before.length < 60) last.as = 'heading';
      gap = true;
      before = '';
      continue;
    }
    const last = lines.at(-1);
    const isItem = bullet.test(raw);
    if (
      last &&
      !gap &&
      !isItem &&
      before !== '' &&
      last.as !== 'heading' &&
      (wasBroken(before, raw, width) || (last.as === 'item' && hangsIn.test(raw)))
    ) {
      last.text += ` ${unescaped(raw.trim())}`;
      before = raw;
      continue;
    }
    const inner = raw.replace(bullet, '').trim();
    const isHeading = mark.test(inner);
    // A sign at the end says only that the line ends there.
    const bare = trimmed(inner.replace(mark, ''), '', '\\');
    lines.push({
      text: plainLine(unescaped(bare.replace(emphasis, '$2'))),
      as: isHeading ? 'heading' : isItem ? 'item' : 'plain',
      strong: /^(\*\*|__)[^*_]+\1$/.test(bare),
      gap,
    });
    gap = false;
    before = raw;
  }
  return lines.filter((line) => line.text !== '');
}
