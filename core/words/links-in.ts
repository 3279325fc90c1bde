import type { Block, Inline, RichText } from './rich-text.ts';

interface LinkInWords {
  href: string;
  /** What is read as the link, over all its bold and plain pieces. */
  text: string;
}

const hrefOf = (node: Inline): string | null =>
  (node.type === 'text' && node.marks?.find((mark) => mark.type === 'link')?.attrs.href) || null;

function ofInlines(content: readonly Inline[]): LinkInWords[] {
  const found: LinkInWords[] = [];
  let before: string | null = null;
  for (const node of content) {
    const href = hrefOf(node);
    const last = found.at(-1);
    if (href !== null && node.type === 'text') {
      if (href === before && last) last.text += node.text;
      else found.push({ href, text: node.text });
    }
    before = href;
  }
  return found;
}

function ofBlock(block: Block): LinkInWords[] {
  switch (block.type) {
    case 'paragraph':
    case 'heading':
      return ofInlines(block.content ?? []);
    case 'codeBlock':
      return [];
    case 'blockquote':
      return block.content.flatMap(ofBlock);
    case 'bulletList':
    case 'orderedList':
      return block.content.flatMap((item) => item.content.flatMap(ofBlock));
    case 'table':
      return block.content.flatMap((row) => row.content.flatMap((cell) => cell.content.flatMap(ofBlock)));
  }
}

/** The links in some words, in reading order. */
export const linksIn = ({ content }: RichText): LinkInWords[] => content.flatMap(ofBlock);
