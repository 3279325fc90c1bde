import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { paperSizes } from '../resume/layout/paper.ts';
import type { BookBlock, BookChapter, BookPicture } from './book-block.ts';
import { bookMargins } from './book-sheet.ts';
import { layBook } from './lay-book.ts';

/** Half the size for each letter: a book that is easily counted. */
const widthOf = (words: string) => words.length * 0.5;
const around = { heading: 'Contents', foot: ['Wren', 'wall.example/wren/'] };
const chapter = (path: string, blocks: BookBlock[], more: Partial<BookChapter> = {}): BookChapter => ({
  ...{ path, title: `Title of ${path}`, depth: 0, opening: [], blocks },
  ...more,
});
const run = (text: string) => [{ text, face: 'regular' as const }];

const runs = fc
  .array(fc.stringMatching(/^[a-z]{1,14}$/), { minLength: 1, maxLength: 160 })
  .map((words) => run(words.join(' ')));
const picture: fc.Arbitrary<BookPicture> = fc.record({
  file: fc.constant('files/a.jpg'),
  width: fc.integer({ min: 1, max: 4000 }),
  height: fc.integer({ min: 1, max: 4000 }),
  alt: fc.constant('A'),
  caption: fc.constantFrom('', 'Some words', 'caption '.repeat(60)),
});
const block: fc.Arbitrary<BookBlock> = fc.oneof(
  fc.record({
    kind: fc.constant('heading' as const),
    level: fc.constantFrom(2 as const, 3 as const, 4 as const),
    runs,
  }),
  fc.record({
    kind: fc.constant('words' as const),
    tone: fc.constantFrom('plain' as const, 'lead' as const, 'quiet' as const, 'quote' as const),
    runs,
  }),
  fc.record({
    kind: fc.constant('item' as const),
    mark: fc.constantFrom('', '12.'),
    depth: fc.nat({ max: 4 }),
    runs,
  }),
  fc.record({ kind: fc.constant('fact' as const), name: fc.constantFrom('', 'Made with'), runs }),
  fc.record({
    kind: fc.constant('row' as const),
    head: fc.boolean(),
    cells: fc.array(runs, { minLength: 1, maxLength: 6 }),
  }),
  fc.record({
    kind: fc.constant('pictures' as const),
    small: fc.boolean(),
    pictures: fc.array(picture, { minLength: 1, maxLength: 9 }),
  }),
);

describe('a laid book', () => {
  test('keeps everything between its margins, nothing over anything else, and every word', () => {
    fc.assert(
      fc.property(
        fc.array(block, { maxLength: 12 }),
        fc.constantFrom('a4' as const, 'letter' as const),
        (blocks, paper) => {
          const { sheets } = layBook(chapter('', []), [chapter('one/', blocks)], around, paper, widthOf);
          const { width, height } = paperSizes[paper];
          for (const { placed } of sheets)
            for (const one of placed) {
              expect(one.x).toBeGreaterThanOrEqual(bookMargins.side - 0.01);
              expect(one.top).toBeGreaterThanOrEqual(bookMargins.top - 0.01);
              expect(one.top + one.height).toBeLessThanOrEqual(height - bookMargins.bottom + 0.01);
              const right = one.kind === 'picture' ? one.x + one.width : one.x;
              expect(right).toBeLessThanOrEqual(width - bookMargins.side + 0.01);
            }
          const words = blocks.flatMap((one) => ('runs' in one ? one.runs[0]?.text.split(' ') : [])).length;
          const laid = sheets.flatMap(({ path, placed }) =>
            path === null
              ? []
              : placed.flatMap((one) => (one.kind === 'line' ? one.runs.map(({ text }) => text) : [])),
          );
          expect(laid.join(' ').split(/\s+/).length).toBeGreaterThanOrEqual(words);
        },
      ),
    );
  });

  test('lines of words never stand on each other', () => {
    fc.assert(
      fc.property(fc.array(block, { maxLength: 12 }), (blocks) => {
        const only = blocks.filter(({ kind }) => kind !== 'row' && kind !== 'fact' && kind !== 'pictures');
        const { sheets } = layBook(chapter('', []), [chapter('one/', only)], around, 'a4', widthOf);
        for (const { placed } of sheets) {
          const lines = placed.filter((one) => one.kind === 'line');
          for (let at = 1; at < lines.length; at++) {
            const [before, line] = [lines[at - 1], lines[at]];
            if (before && line) expect(line.top).toBeGreaterThanOrEqual(before.top + before.height - 0.01);
          }
        }
      }),
    );
  });

  test('says in the contents on which page each chapter begins', () => {
    const long = Array.from({ length: 60 }, (): BookBlock => ({
      kind: 'words',
      tone: 'plain',
      runs: run('word '.repeat(90)),
    }));
    const chapters = [chapter('a/', long), chapter('a/b/', [], { depth: 1 }), chapter('c/', [])];
    const { sheets, begins } = layBook(chapter('', []), chapters, around, 'a4', widthOf);
    expect(begins.get('')).toBe(0);
    expect(begins.get('a/')).toBe(2);
    for (const { path, title } of chapters) {
      const first = sheets.findIndex((sheet) => sheet.path === path);
      expect(begins.get(path)).toBe(first);
      expect(sheets[first]?.placed.some((one) => one.kind === 'line' && one.runs[0]?.text === title)).toBe(
        true,
      );
    }
    const entries = sheets[1]?.placed.flatMap((one) =>
      one.kind === 'line' && one.entry ? [one.entry.path] : [],
    );
    expect(entries).toEqual(['a/', 'a/b/', 'c/']);
    expect(sheets.length).toBeGreaterThan(8);
  });

  test('a heading is never the last thing on a page', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), (count) => {
        const blocks: BookBlock[] = [
          ...Array.from({ length: count }, (): BookBlock => ({
            kind: 'item',
            mark: '',
            depth: 0,
            runs: run('One'),
          })),
          { kind: 'heading', level: 2, runs: run('Heading') },
          { kind: 'words', tone: 'plain', runs: run('word '.repeat(60)) },
        ];
        const { sheets } = layBook(chapter('', []), [chapter('a/', blocks)], around, 'a4', widthOf);
        for (const { placed } of sheets) {
          const last = placed.at(-1);
          expect(last?.kind === 'line' && last.tag === 'H2' && last.runs[0]?.text === 'Heading').toBe(false);
        }
      }),
    );
  });

  test('a book of the entrance alone has no contents', () => {
    const { sheets } = layBook(chapter('', []), [], around, 'letter', widthOf);
    expect(sheets).toHaveLength(1);
    expect(JSON.stringify(sheets)).not.toContain('Contents');
  });
});
