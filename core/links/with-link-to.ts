import type { Part } from '../parts/parts.ts';
import type { Block, Inline, RichText } from '../words/rich-text.ts';

const ofInline = (node: Inline, from: string, to: string): Inline =>
  node.type === 'text' && node.marks
    ? {
        ...node,
        marks: node.marks.map((mark) =>
          mark.type === 'link' && mark.attrs.href === from
            ? { ...mark, attrs: { ...mark.attrs, href: to } }
            : mark,
        ),
      }
    : node;

function ofBlock(block: Block, from: string, to: string): Block {
  switch (block.type) {
    case 'paragraph':
    case 'heading':
      return block.content
        ? { ...block, content: block.content.map((node) => ofInline(node, from, to)) }
        : block;
    case 'codeBlock':
      return block;
    case 'blockquote':
      return { ...block, content: block.content.map((one) => ofBlock(one, from, to)) };
    case 'bulletList':
    case 'orderedList':
      return {
        ...block,
        content: block.content.map((item) => ({
          ...item,
          content: item.content.map((one) => ofBlock(one, from, to)),
        })),
      };
    case 'table':
      return {
        ...block,
        content: block.content.map((row) => ({
          ...row,
          content: row.content.map((cell) => ({
            ...cell,
            content: cell.content.map((one) => ofBlock(one, from, to)),
          })),
        })),
      };
  }
}

const ofWords = (text: RichText, from: string, to: string): RichText => ({
  ...text,
  content: text.content.map((block) => ofBlock(block, from, to)),
});

/** A part whose links to one address lead to another one; the words that are linked stay as they are. */
export function withLinkTo(part: Part, from: string, to: string): Part {
  switch (part.kind) {
    case 'words':
      return { ...part, text: ofWords(part.text, from, to) };
    case 'profiles':
      return { ...part, list: part.list.map((one) => (one.to === from ? { ...one, to } : one)) };
    case 'contact':
    case 'picture':
      return part.link === from ? { ...part, link: to } : part;
    default:
      return part;
  }
}
