import { type AnyNode, isTag, isText } from 'domhandler';
import { parseDocument } from 'htmlparser2';

const textOf = (node: AnyNode): string =>
  isText(node) ? node.data : isTag(node) ? node.children.map(textOf).join('') : '';

/**
 * The words on slides, one line a paragraph: `a:p` in PresentationML (ECMA-376), `text:p` in OpenDocument. They are for
 * finding; slides are shown by a PDF.
 */
export function slideWords(xml: string, paragraph: 'a:p' | 'text:p'): string[] {
  const lines: string[] = [];
  const visit = (node: AnyNode): void => {
    if (!isTag(node)) return;
    if (node.name !== paragraph) {
      node.children.forEach(visit);
      return;
    }
    const line = textOf(node).replace(/\s+/g, ' ').trim();
    if (line !== '') lines.push(line);
  };
  parseDocument(xml, { xmlMode: true }).children.forEach(visit);
  return lines;
}
