import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { uncoveredText } from '#core/materials/uncovered-words.ts';
import { byPandoc, ours, run, words } from '../testing/block-structure.ts';
import { FolderBlobStore } from '../media/blob-store.ts';
import { drawPage } from './draw-page.ts';
import { withPdf } from './pdfium.ts';
import { readDocument } from './read-document.ts';

const demo = join(import.meta.dirname, '../../demo/pictures');
const sheet = join(demo, 'bike-trailer/workshop-test-sheet.pdf');
let folder = '';
let blobs: FolderBlobStore;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-documents-'));
  blobs = await FolderBlobStore.open(join(folder, 'blobs'));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const sample = `# A stool from one board

Some words with **bold**, *slanted*, [a link](https://harbour.example/board) and “quotes”.

## What it needs

- one board
- two tools
    1. a saw
    2. a plane
- glue

> Measure twice.

| Part | Length |
|------|-------:|
| leg  |    420 |
| seat |    310 |

![The stool](stool.png)

## Next time

Less glue, more clamps — and no hurry.
`;

describe('documents with words', () => {
  test.each(['docx', 'odt'] as const)(
    'a %s written by pandoc is read with its structure and every word',
    async (format) => {
      const markdown = join(folder, 'sample.md');
      await sharp({ create: { width: 90, height: 60, channels: 3, background: '#557799' } })
        .png()
        .toFile(join(folder, 'stool.png'));
      await writeFile(markdown, sample);
      const file = join(folder, `sample.${format}`);
      run('pandoc', markdown, '-o', file, '--resource-path', folder);
      const { content, facts } = await readDocument(file, 'x', format, blobs);
      // What went in, as pandoc reads it there: its reader of ODT leaves the heads of tables out.
      const theirs = byPandoc(markdown);
      const read = ours(content.pieces);
      // A picture's words below it are a paragraph to pandoc's own reader or not, by the format; the rest has to agree.
      const withoutCaption = (list: string[]) => list.join(' ').replace(' The stool ', ' ');
      expect(withoutCaption(read.words)).toBe(withoutCaption(theirs.words));
      expect(read.blocks).toEqual(theirs.blocks);
      expect(read.blocks).toEqual([
        'Header',
        'Header',
        'BulletList',
        'OrderedList',
        'BlockQuote',
        'Table',
        'Image',
        'Header',
      ]);
      expect(facts.pages).toEqual([]);
      const all = JSON.stringify(content.pieces);
      expect(all).toContain('{"type":"text","text":"bold","marks":[{"type":"bold"}]}');
      expect(all).toContain('{"type":"text","text":"slanted","marks":[{"type":"italic"}]}');
      expect(all).toContain('"href":"https://harbour.example/board"');
      const picture = content.pieces.find((piece) => piece.type === 'picture');
      // pandoc writes no alt text into ODT.
      expect(picture).toMatchObject({ widthPx: 90, heightPx: 60, alt: format === 'docx' ? 'The stool' : '' });
    },
  );

  test('the demo’s Word document is read as pandoc reads it', async () => {
    const file = join(demo, 'bee-hotel/build-notes.docx');
    const { content } = await readDocument(file, 'x', 'docx', blobs);
    const theirs = byPandoc(file);
    const read = ours(content.pieces);
    // pandoc takes a paragraph in the style Title as the document's title and not as part of it.
    const title = words('Build notes: bee hotel');
    expect(read.words).toEqual([...title, ...theirs.words]);
    expect(read.blocks).toEqual(['Header', ...theirs.blocks]);
  });

  test('Markdown and plain text, in whatever encoding', async () => {
    const markdown = join(folder, 'notes.md');
    await writeFile(markdown, sample.replace(/!\[.*\n/, ''));
    const { content } = await readDocument(markdown, 'x', 'markdown', blobs);
    expect(ours(content.pieces)).toEqual(byPandoc(markdown));

    const latin = join(folder, 'latin.txt');
    await writeFile(latin, Buffer.from('Ca\xf1on\r\nund so weiter\r\n\r\nZweite Zeile', 'latin1'));
    const plain = await readDocument(latin, 'x', 'text', blobs);
    expect(plain.content.pieces).toEqual([
      {
        type: 'words',
        blocks: [
          {
            type: 'paragraph',
            content: [
              { type: 'text', text: 'Cañon' },
              { type: 'hardBreak' },
              { type: 'text', text: 'und so weiter' },
            ],
          },
          { type: 'paragraph', content: [{ type: 'text', text: 'Zweite Zeile' }] },
        ],
      },
    ]);
  });

  test('slides give their words, and have no pages of their own', async () => {
    const source = join(folder, 'slides.md');
    await writeFile(source, '# One\n\nfirst words\n\n# Two\n\n- second words\n');
    const file = join(folder, 'slides.pptx');
    run('pandoc', source, '-o', file);
    const { content, facts } = await readDocument(file, 'x', 'pptx', blobs);
    expect(ours(content.pieces).words).toEqual(words('One first words Two second words'));
    expect([facts.format, facts.pages]).toEqual(['pptx', []]);
  });

  test.each(['docx', 'odt', 'pptx'] as const)(
    'a %s that is cut off is refused in a sentence',
    async (format) => {
      const whole = await readFile(join(demo, 'bee-hotel/build-notes.docx'));
      const file = join(folder, `cut.${format}`);
      await writeFile(file, whole.subarray(0, whole.length >> 1));
      await expect(readDocument(file, 'x', format, blobs)).rejects.toThrow(/cut off|could not be read/);
    },
  );
});

describe('PDF', () => {
  test('pages and words are what poppler reads', async () => {
    const { facts, content } = await readDocument(sheet, 'sheet', 'pdf', blobs);
    const info = run('pdfinfo', sheet);
    expect(facts.pages.length).toBe(Number(/Pages:\s+(\d+)/.exec(info)?.[1]));
    const [, width, height] = /Page size:\s+([\d.]+) x ([\d.]+)/.exec(info) ?? [];
    expect(facts.pages[0]?.widthPt).toBeCloseTo(Number(width), 2);
    expect(facts.pages[0]?.heightPt).toBeCloseTo(Number(height), 2);
    for (const page of [0, 1]) {
      const theirs = words(run('pdftotext', '-f', `${page + 1}`, '-l', `${page + 1}`, sheet, '-'));
      const read = words(uncoveredText(content.pages[page] ?? [], page));
      // The order of a table's cells is each reader's own.
      expect([...read].sort()).toEqual([...theirs].sort());
    }
  });

  test('boxes of words are where poppler has them', async () => {
    const { content } = await readDocument(sheet, 'sheet', 'pdf', blobs);
    const boxes = run('pdftotext', '-bbox', '-f', '1', '-l', '1', sheet, '-');
    const theirs = [
      ...boxes.matchAll(
        /<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">(.*?)<\/word>/g,
      ),
    ];
    const page = content.pages[0] ?? [];
    for (const wanted of ['555-0142', 'S-2047-1183', 'unloading.', '2026-05-21']) {
      const [, xMin, yMin, xMax, yMax] = theirs.find((one) => one[5] === wanted) ?? [];
      const read = page.find(({ text }) => text === wanted);
      const middle = read && [(read.x + read.width / 2) * 595.276, (read.y + read.height / 2) * 841.89];
      expect(Math.abs((middle?.[0] ?? 0) - (Number(xMin) + Number(xMax)) / 2)).toBeLessThan(2);
      expect(Math.abs((middle?.[1] ?? 0) - (Number(yMin) + Number(yMax)) / 2)).toBeLessThan(3);
    }
  });

  test('a page looks as poppler draws it', async () => {
    run('pdftoppm', '-r', '72', '-png', '-f', '1', '-l', '1', '-singlefile', sheet, join(folder, 'theirs'));
    const shape = { width: 200, height: 283, fit: 'fill' } as const;
    const theirs = await sharp(join(folder, 'theirs.png'))
      .removeAlpha()
      .resize(shape)
      .greyscale()
      .raw()
      .toBuffer();
    const drawn = await withPdf(
      'sheet',
      () => readFile(sheet),
      (pdf) => drawPage(pdf, 0, { widthPx: 1190, heightPx: 1684 }),
    );
    const { data, ...raw } = drawn;
    const read = await sharp(data, { raw }).resize(shape).greyscale().raw().toBuffer();
    let sum = 0;
    for (let at = 0; at < read.length; at++) sum += Math.abs((read[at] ?? 0) - (theirs[at] ?? 0));
    expect(sum / read.length).toBeLessThan(4);
    expect(Math.min(...read)).toBeLessThan(150);
  });

  test('a turned page has its words where it shows them', async () => {
    const turned = join(folder, 'turned.pdf');
    run('qpdf', sheet, turned, '--rotate=+90:1');
    const { content, facts } = await readDocument(turned, 'turned', 'pdf', blobs);
    expect(facts.pages[0]?.widthPt).toBeGreaterThan(facts.pages[0]?.heightPt ?? 0);
    const upright = (await readDocument(sheet, 'sheet', 'pdf', blobs)).content.pages[0] ?? [];
    const was = upright.find(({ text }) => text === '555-0142');
    const is = content.pages[0]?.find(({ text }) => text === '555-0142');
    // A quarter turn clockwise takes the top to the right.
    expect(is?.x).toBeCloseTo(1 - (was?.y ?? 0) - (was?.height ?? 0), 2);
    expect(is?.y).toBeCloseTo(was?.x ?? 0, 2);
  });

  test('one that is locked, broken or cut off is refused in a sentence', async () => {
    const locked = join(folder, 'locked.pdf');
    run('qpdf', '--encrypt', 'secret', 'secret', '256', '--', sheet, locked);
    await expect(readDocument(locked, 'locked', 'pdf', blobs)).rejects.toThrow('locked with a password');
    const cut = join(folder, 'cut.pdf');
    await writeFile(cut, (await readFile(sheet)).subarray(0, 900));
    await expect(readDocument(cut, 'cut', 'pdf', blobs)).rejects.toThrow('cut off');
  });
});
