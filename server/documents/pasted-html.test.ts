import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { richTextSchema } from '#core/words/rich-text.ts';
import { pastedPieces } from '#core/words/pasted-pieces.ts';
import { byPandoc, ours, run } from '../testing/block-structure.ts';

let folder = '';
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-pasted-'));
  await sharp({ create: { width: 12, height: 8, channels: 3, background: '#557799' } })
    .png()
    .toFile(join(folder, 'stool.png'));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

/** Documents of several kinds, each with what is hard about pasting it. */
const corpus = {
  'an essay with a picture in it': `# A stool from one board

Some words with **bold**, *slanted*, ***both*** and [a link](https://harbour.example/board?a=1&b=2).

![The stool](stool.png)

## Next time

Less glue, more clamps — and no hurry.`,
  'lists in lists': `- one board

    with a second paragraph

- two tools
    1. a saw
    2. a plane
        - sharp
        - not sharp
- glue

After the list.`,
  'a quotation and a table': `> Measure twice.
>
> - cut once
> - *or not*

| Part | Length |
|------|-------:|
| leg  | **420** |
| seat | 310 |`,
  'deep headings, which become two levels': `### Deep

Words.

#### Deeper

More words.

##### Deepest

The end.`,
  'letters of several writings': `Žluťoučký kůň, Ελληνικά, 日本語, עברית, & < > "quotes" — 1 < 2.`,
};

/** Ways the same document reaches a clipboard. pandoc (from Debian) writes all of them; none of it is ours. */
const ways: [name: string, args: string[]][] = [
  ['a web page', ['-t', 'html5', '-s', '-M', 'pagetitle=x']],
  ['an old web page', ['-t', 'html4', '-s', '-M', 'pagetitle=x']],
  ['a piece of one, on one line', ['-t', 'html5', '--wrap=none']],
  ['with its pictures in it', ['-t', 'html5', '-s', '--self-contained', '-M', 'pagetitle=x']],
];

describe.each(Object.entries(corpus))('pasting %s', (name, markdown) => {
  test.each(ways)('as %s gives its structure and every word', async (_, args) => {
    const source = join(folder, 'source.md');
    await writeFile(source, markdown);
    const html = run(
      'pandoc',
      source,
      '-f',
      'markdown-smart-implicit_figures',
      ...args,
      '--resource-path',
      folder,
    );
    const { pieces, alts } = pastedPieces(html);
    const theirs = byPandoc(source);
    const read = ours(pieces);
    const caption = (list: string[]) => list.join(' ').replace(' The stool ', ' ');
    expect(caption(read.words)).toBe(caption(theirs.words));
    expect(read.blocks).toEqual(theirs.blocks);
    for (const piece of pieces)
      if (piece.type === 'words') {
        const text = { type: 'doc' as const, content: piece.blocks };
        // All of it can be kept, and nothing of how it looked came along.
        expect(richTextSchema.parse(text)).toEqual(text);
        expect(JSON.stringify(text)).not.toMatch(/style|class|font|align/);
      }
    if (name.includes('picture')) expect(Object.values(alts)).toEqual(['The stool']);
    if (args.includes('--self-contained') && name.includes('picture'))
      expect(Object.keys(alts)[0]).toMatch(/^data:image\/png;base64,/);
  });
});

const said = (html: string) =>
  pastedPieces(html).pieces.flatMap((piece): unknown[] => (piece.type === 'words' ? piece.blocks : [piece]));
const plain = (text: string) => ({ type: 'paragraph', content: [{ type: 'text', text }] });

// What word processors put on clipboards, written down from memory; common practice, not a standard.
describe('pasting from word processors', () => {
  test('blank lines, fonts, colours and the surroundings stay behind', () => {
    const html = `<html><head><meta name="generator" content="An office"><style>p { margin: 2cm; color: red }</style></head>
      <body lang="en-GB"><!--StartFragment-->
      <p style="margin-bottom: 0cm; line-height: 100%"><font face="Comic, cursive"><font size="6" style="font-size: 28pt">First.</font></font></p>
      <p style="margin-bottom: 0cm"><br/></p><p>&nbsp;</p><p></p>
      <p align="center"><span style="color:#c00;background:yellow">Second.</span></p><!--EndFragment--></body></html>`;
    expect(said(html)).toEqual([plain('First.'), plain('Second.')]);
  });

  test('bold written as a style is bold, and a wrapper that only says "not bold" is nothing', () => {
    const html =
      '<b style="font-weight:normal" id="wrapper"><p dir="ltr"><span style="font-weight:400">Plain </span><span style="font-weight:700">bold</span></p></b>';
    expect(said(html)).toEqual([
      {
        type: 'paragraph',
        content: [
          { type: 'text', text: 'Plain ' },
          { type: 'text', text: 'bold', marks: [{ type: 'bold' }] },
        ],
      },
    ]);
  });

  test('nothing that runs or watches comes along', () => {
    const html =
      '<p onclick="x()">Words<script>alert(1)</script><img src="https://kite.example/dot.gif" width="1"> <a href="javascript:x()">here</a></p>';
    expect(JSON.stringify(said(html))).not.toMatch(/script|onclick|alert|dot\.gif/);
  });

  test('a nested list written beside its item belongs to it', () => {
    const html = '<ul><li>one</li><ul><li>one and a half</li></ul><li>two</li></ul>';
    expect(said(html)).toMatchObject([
      {
        type: 'bulletList',
        content: [
          {
            content: [
              plain('one'),
              { type: 'bulletList', content: [{ content: [plain('one and a half')] }] },
            ],
          },
          { content: [plain('two')] },
        ],
      },
    ]);
  });
});
