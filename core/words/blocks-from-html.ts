import { type AnyNode, type Element, isTag, isText } from 'domhandler';
import { parseDocument } from 'htmlparser2';
import type { Block, Inline, ListItem, Mark, TableCell, TableRow } from './rich-text.ts';

import { cut } from './cut.ts';

/** A block of words, or the place where a picture stood, by the address the HTML gave it. */
export type Structure = { type: 'block'; block: Block } | { type: 'picture'; src: string; alt: string };

const dropped = new Set([
  'script',
  'style',
  'head',
  'title',
  'meta',
  'link',
  'template',
  'noscript',
  'object',
  'iframe',
]);
const blockTags = new Set(
  'address article aside blockquote body center dd details div dl dt fieldset figcaption figure footer form h1 h2 h3 h4 h5 h6 header hr html li main nav ol p pre section summary table tbody td tfoot th thead tr ul'.split(
    ' ',
  ),
);
/** A text node holds at most this many characters; longer ones become several. */
const longestText = 20_000;

const nameOf = (node: AnyNode): string => (isTag(node) ? node.name.toLowerCase() : '');
/**
 * What an element's own style says of a property; empty where it says nothing. The property itself, and none whose name only ends
 * like it: a word processor writes `mso-bidi-font-weight:normal` on what is bold.
 */
function styleOf(element: Element, property: string): string {
  const declarations = (element.attribs['style'] ?? '').toLowerCase().split(';');
  for (const declaration of declarations.reverse()) {
    const [name = '', value = ''] = declaration.split(':');
    if (name.trim() === property) return value.trim();
  }
  return '';
}

function markOf(element: Element): Mark[] {
  const weight = styleOf(element, 'font-weight');
  const slant = styleOf(element, 'font-style');
  const marks: Mark[] = [];
  switch (element.name.toLowerCase()) {
    case 'b':
    case 'strong':
      if (!/^(?:normal|[1-4]00)/.test(weight)) marks.push({ type: 'bold' });
      break;
    case 'i':
    case 'em':
    case 'cite':
      if (!slant.startsWith('normal')) marks.push({ type: 'italic' });
      break;
    case 'a': {
      const href = (element.attribs['href'] ?? '').trim();
      // Addresses that lead nowhere outside their document, or run something, are words only.
      if (/^(https?:\/\/|mailto:|tel:)/i.test(href) && href.length <= 2000)
        marks.push({ type: 'link', attrs: { href } });
      break;
    }
    default:
      if (/^(?:bold|[6-9]00)/.test(weight)) marks.push({ type: 'bold' });
      if (slant.startsWith('italic')) marks.push({ type: 'italic' });
  }
  return marks;
}

const sameMarks = (a: readonly Mark[] = [], b: readonly Mark[] = []): boolean =>
  a.length === b.length && a.every((mark, at) => JSON.stringify(mark) === JSON.stringify(b[at]));

/** Gathers the inline content of one paragraph: blanks collapsed as HTML collapses them, equal neighbours joined. */
class Line {
  #nodes: Inline[] = [];

  text(text: string, marks: readonly Mark[], keepBlanks: boolean): void {
    const lines = keepBlanks ? text.split(/\r?\n/) : [text.replace(/[\s\u00a0]+/g, ' ')];
    lines.forEach((line, at) => {
      if (at > 0) this.lineBreak();
      const last = this.#nodes.at(-1);
      const open = last === undefined || last.type === 'hardBreak' || last.text.endsWith(' ');
      const piece = open && !keepBlanks ? line.replace(/^ /, '') : line;
      if (piece === '') return;
      if (
        last?.type === 'text' &&
        sameMarks(last.marks, marks) &&
        last.text.length + piece.length <= longestText
      )
        last.text += piece;
      else
        for (let rest = piece; rest !== '';) {
          // A single character that is longer than all of it is no text anybody wrote.
          const text = cut(rest, longestText) || rest.slice(0, longestText);
          this.#nodes.push({ type: 'text', text, ...(marks.length > 0 ? { marks: [...marks] } : {}) });
          rest = rest.slice(text.length);
        }
    });
  }

  lineBreak(): void {
    this.#nodes.push({ type: 'hardBreak' });
  }

  /** What has been gathered, without blanks and breaks at its ends; empty when there are no words. */
  take(): Inline[] {
    const nodes = this.#nodes;
    this.#nodes = [];
    while (nodes[0]?.type === 'hardBreak') nodes.shift();
    for (let last = nodes.at(-1); last; last = nodes.at(-1)) {
      if (last.type === 'text') {
        last.text = last.text.trimEnd();
        if (last.text !== '') break;
      }
      nodes.pop();
    }
    return nodes;
  }
}

function withMark(marks: readonly Mark[], more: readonly Mark[]): Mark[] {
  return [...marks, ...more.filter(({ type }) => !marks.some((mark) => mark.type === type))];
}

class Walk {
  readonly #topHeading: number;
  constructor(topHeading: number) {
    this.#topHeading = topHeading;
  }

  structure(nodes: readonly AnyNode[]): Structure[] {
    const found: Structure[] = [];
    const line = new Line();
    const put = (block: Block) => found.push({ type: 'block', block });
    const flush = () => {
      const content = line.take();
      if (content.length > 0) put({ type: 'paragraph', content });
    };
    const visit = (node: AnyNode, marks: readonly Mark[], pre: boolean): void => {
      if (isText(node)) {
        line.text(node.data, marks, pre);
        return;
      }
      if (!isTag(node)) return;
      const name = nameOf(node);
      if (dropped.has(name)) return;
      const inside = (more: readonly Mark[] = marks, keepBlanks = pre) =>
        node.children.forEach((child) => visit(child, more, keepBlanks));
      if (name === 'br') line.lineBreak();
      else if (name === 'img') {
        const src = node.attribs['src'] ?? '';
        // A picture of one dot is there to count readers.
        const counts = ['width', 'height'].some((side) => Number(node.attribs[side] ?? 9) < 3);
        if (src !== '' && !counts) {
          flush();
          found.push({ type: 'picture', src, alt: (node.attribs['alt'] ?? '').replace(/\s+/g, ' ').trim() });
        }
      } else if (!blockTags.has(name)) inside(withMark(marks, markOf(node)));
      else {
        flush();
        this.#block(node, name, found, () => {
          inside(marks, pre || name === 'pre');
          flush();
        });
      }
    };
    nodes.forEach((node) => visit(node, [], false));
    flush();
    return found;
  }

  #block(node: Element, name: string, found: Structure[], asParagraphs: () => void): void {
    const heading = /^h([1-6])$/.exec(name);
    if (heading) {
      const level = Number(heading[1]) <= this.#topHeading ? 2 : 3;
      for (const one of this.structure(node.children))
        // Words of a heading are all of it, in whatever they are wrapped; bold says nothing there.
        if (one.type === 'picture') found.push(one);
        else if (one.block.type === 'paragraph')
          found.push({
            type: 'block',
            block: { type: 'heading', attrs: { level }, content: withoutBold(one.block.content ?? []) },
          });
        else found.push(one);
      return;
    }
    switch (name) {
      case 'hr':
        return;
      case 'ul':
      case 'ol': {
        const { items, pictures } = this.#items(node);
        if (items.length > 0)
          found.push({
            type: 'block',
            block: { type: name === 'ol' ? 'orderedList' : 'bulletList', content: items },
          });
        found.push(...pictures);
        return;
      }
      case 'blockquote': {
        const { blocks, pictures } = this.#blocks(node.children);
        if (blocks.length > 0) found.push({ type: 'block', block: { type: 'blockquote', content: blocks } });
        found.push(...pictures);
        return;
      }
      case 'table': {
        const { rows, pictures } = this.#rows(node);
        if (rows.length > 0) found.push({ type: 'block', block: { type: 'table', content: rows } });
        found.push(...pictures);
        return;
      }
      default:
        asParagraphs();
    }
  }

  /** Blocks only; pictures among them come after, since lists, quotes and tables hold words. */
  #blocks(nodes: readonly AnyNode[]): { blocks: Block[]; pictures: Structure[] } {
    const found = this.structure(nodes);
    return {
      blocks: found.flatMap((one) => (one.type === 'block' ? [one.block] : [])),
      pictures: found.filter((one) => one.type === 'picture'),
    };
  }

  #items(list: Element): { items: ListItem[]; pictures: Structure[] } {
    const items: ListItem[] = [];
    const pictures: Structure[] = [];
    for (const child of list.children) {
      if (isText(child) && child.data.trim() === '') continue;
      const inner = this.#blocks(isTag(child) && nameOf(child) === 'li' ? child.children : [child]);
      pictures.push(...inner.pictures);
      if (inner.blocks.length === 0) continue;
      const last = items.at(-1);
      // Some programs write a nested list beside its item instead of inside it.
      const nested = isTag(child) && ['ul', 'ol'].includes(nameOf(child));
      if (nested && last) last.content.push(...inner.blocks);
      else items.push({ type: 'listItem', content: inner.blocks });
    }
    return { items, pictures };
  }

  #rows(table: Element): { rows: TableRow[]; pictures: Structure[] } {
    const rows: TableRow[] = [];
    const pictures: Structure[] = [];
    const visit = (node: AnyNode, inHead: boolean): void => {
      if (!isTag(node)) return;
      const name = nameOf(node);
      if (name !== 'tr') {
        // A table in a cell is read with that cell, not as more rows of this one.
        if (name !== 'table' || node === table)
          node.children.forEach((child) => visit(child, inHead || name === 'thead'));
        return;
      }
      const cells = node.children.filter(isTag).filter((cell) => ['td', 'th'].includes(nameOf(cell)));
      const content = cells.map((cell): TableCell => {
        const inner = this.#blocks(cell.children);
        pictures.push(...inner.pictures);
        const type = nameOf(cell) === 'th' || inHead ? 'tableHeader' : 'tableCell';
        return { type, content: inner.blocks.length > 0 ? inner.blocks : [{ type: 'paragraph' }] };
      });
      if (content.some(({ content: [first] }) => first && (first.type !== 'paragraph' || first.content)))
        rows.push({ type: 'tableRow', content });
    };
    visit(table, false);
    return { rows, pictures };
  }
}

const withoutBold = (nodes: readonly Inline[]): Inline[] =>
  nodes.map((node) => {
    if (node.type !== 'text' || !node.marks) return node;
    const { marks: all, ...rest } = node;
    const marks = all.filter(({ type }) => type !== 'bold');
    return marks.length > 0 ? { ...rest, marks } : rest;
  });

/**
 * The structure of HTML and nothing else: headings, paragraphs, lists, tables, quotes, bold, italic, links and where
 * pictures stand. Fonts, sizes, colours, blank lines and whatever runs are dropped. The highest heading there is becomes
 * the page's second level, since the first is the page's own title.
 *
 * @param html a document or a piece of one, by whatever program; need not be well formed
 */
export function structureFromHtml(html: string): Structure[] {
  const { children } = parseDocument(html);
  const levels: number[] = [];
  const look = (node: AnyNode): void => {
    if (!isTag(node)) return;
    const level = /^h([1-6])$/i.exec(node.name);
    if (level) levels.push(Number(level[1]));
    node.children.forEach(look);
  };
  children.forEach(look);
  return new Walk(Math.min(...levels, 6)).structure(children);
}
