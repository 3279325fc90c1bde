import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { blockSchema } from './rich-text.ts';
import { structureFromHtml } from './blocks-from-html.ts';

const blocksOf = (html: string) =>
  structureFromHtml(html).flatMap((one) => (one.type === 'block' ? [one.block] : []));
const text = (words: string, ...marks: ('bold' | 'italic')[]) => ({
  type: 'text',
  text: words,
  ...(marks.length > 0 ? { marks: marks.map((type) => ({ type })) } : {}),
});
const paragraph = (...content: unknown[]) => ({ type: 'paragraph', content });

describe('the structure of HTML', () => {
  test('keeps headings, bold, italic, links and line breaks; drops fonts, colours, scripts and blank lines', () => {
    const html = `<style>p{color:red}</style><h1 style="font-family:X"><b>Notes</b></h1><p>&nbsp;</p>
      <p><font color="red">One <b>bold</b> and <i>slanted</i></font><br>line</p><script>alert(1)</script>
      <p></p><h2>More</h2><p><a href="https://harbour.example/a?b=1">there</a> <a href="javascript:alert(1)">not</a></p>`;
    expect(blocksOf(html)).toEqual([
      { type: 'heading', attrs: { level: 2 }, content: [text('Notes')] },
      paragraph(
        text('One '),
        text('bold', 'bold'),
        text(' and '),
        text('slanted', 'italic'),
        { type: 'hardBreak' },
        text('line'),
      ),
      { type: 'heading', attrs: { level: 3 }, content: [text('More')] },
      paragraph(
        { ...text('there'), marks: [{ type: 'link', attrs: { href: 'https://harbour.example/a?b=1' } }] },
        text(' not'),
      ),
    ]);
  });

  // How word processors write bold and slanted words to the clipboard, from memory.
  test('bold and slanted words are so by the property itself, and by none whose name ends like it', () => {
    const html = `<p class=MsoNormal><b style='mso-bidi-font-weight:normal'>one</b><i style='mso-bidi-font-style:normal'> two</i>
      <span style='mso-bidi-font-weight:bold'>three</span> <span style='font-size:12.0pt;font-weight:bold'>four</span>
      <b style='font-weight:normal'>five</b></p>`;
    expect(blocksOf(html)).toEqual([
      paragraph(
        text('one', 'bold'),
        text(' two', 'italic'),
        text(' three '),
        text('four', 'bold'),
        text(' five'),
      ),
    ]);
  });

  test('lists keep their nesting, whether it stands inside an item or beside it', () => {
    const inside = blocksOf('<ul><li>a<ol><li>b</li></ol></li><li>c</li></ul>');
    const beside = blocksOf('<ul><li>a</li><ol><li>b</li></ol><li>c</li></ul>');
    expect(inside).toEqual(beside);
    expect(inside).toEqual([
      {
        type: 'bulletList',
        content: [
          {
            type: 'listItem',
            content: [
              paragraph(text('a')),
              { type: 'orderedList', content: [{ type: 'listItem', content: [paragraph(text('b'))] }] },
            ],
          },
          { type: 'listItem', content: [paragraph(text('c'))] },
        ],
      },
    ]);
  });

  test('tables keep their head, and pictures stand where they stood', () => {
    const found = structureFromHtml(
      '<p>before</p><p>x<img src="p.png" alt=" A  picture ">y</p><table><thead><tr><td>h</td></tr></thead><tr><td>1</td></tr><tr><td></td></tr></table>',
    );
    expect(found.map((one) => (one.type === 'picture' ? one : one.block.type))).toEqual([
      'paragraph',
      'paragraph',
      { type: 'picture', src: 'p.png', alt: 'A picture' },
      'paragraph',
      'table',
    ]);
    expect(found.at(-1)).toMatchObject({
      block: {
        content: [
          { content: [{ type: 'tableHeader', content: [paragraph(text('h'))] }] },
          { content: [{ type: 'tableCell', content: [paragraph(text('1'))] }] },
        ],
      },
    });
  });

  test('whatever it is given, what comes out fits the closed schema and loses no word', () => {
    const tag = fc.constantFrom(
      'p',
      'b',
      'i',
      'ul',
      'li',
      'ol',
      'table',
      'tr',
      'td',
      'h1',
      'h3',
      'blockquote',
      'div',
      'span',
      'pre',
    );
    const { html } = fc.letrec<{ html: string; node: string }>((tie) => ({
      node: fc.oneof(
        { maxDepth: 5 },
        fc.stringMatching(/^[a-z]{1,6}$/).map((word) => ` ${word} `),
        fc.tuple(tag, tie('html')).map(([name, inner]) => `<${name}>${inner}</${name}>`),
      ),
      html: fc.array(tie('node'), { maxLength: 4 }).map((nodes) => nodes.join('')),
    }));
    fc.assert(
      fc.property(html, (source) => {
        const blocks = blocksOf(source);
        for (const block of blocks) expect(blockSchema.safeParse(block).success).toBe(true);
        const said = JSON.stringify(blocks).match(/"text":"[^"]*"/g) ?? [];
        const words = said.flatMap((one) => one.slice(8, -1).split(' ')).filter(Boolean);
        const wanted = source
          .replace(/<[^>]*>/g, ' ')
          .split(/\s+/)
          .filter(Boolean);
        // In a table only cells hold words; what stands between them is not part of it.
        if (!/<(table|tr|td)>/.test(source)) expect(words).toEqual(wanted);
      }),
      { numRuns: 400 },
    );
  });
});
