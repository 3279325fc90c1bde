import { type AnyNode, type Element, isTag, isText } from 'domhandler';
import { parseDocument } from 'htmlparser2';

const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

/** All elements with a name, wherever they stand. */
function all(nodes: readonly AnyNode[], name: string): Element[] {
  return nodes.flatMap((node) =>
    isTag(node) ? [...(node.name === name ? [node] : []), ...all(node.children, name)] : [],
  );
}

interface Styles {
  bold: Set<string>;
  italic: Set<string>;
  /** Names of list styles whose first level is numbered. */
  numbered: Set<string>;
  /** Names of paragraph styles for the document's title. */
  titles: Set<string>;
  /** Names of paragraph styles that quote. */
  quotes: Set<string>;
}

function stylesOf(documents: readonly AnyNode[][]): Styles {
  const styles: Styles = {
    bold: new Set(),
    italic: new Set(),
    numbered: new Set(),
    titles: new Set(['Title']),
    quotes: new Set(),
  };
  for (const nodes of documents) {
    for (const style of all(nodes, 'style:style')) {
      const name = style.attribs['style:name'] ?? '';
      if (style.attribs['style:parent-style-name'] === 'Title') styles.titles.add(name);
      if (/quot/i.test(name) || /quot/i.test(style.attribs['style:parent-style-name'] ?? ''))
        styles.quotes.add(name);
      if (style.attribs['style:family'] !== 'text') continue;
      for (const { attribs } of all(style.children, 'style:text-properties')) {
        if (attribs['fo:font-weight'] === 'bold' || Number(attribs['fo:font-weight']) >= 600)
          styles.bold.add(name);
        if (attribs['fo:font-style'] === 'italic') styles.italic.add(name);
      }
    }
    for (const list of all(nodes, 'text:list-style')) {
      const first = list.children.filter(isTag).find(({ attribs }) => attribs['text:level'] === '1');
      if (first?.name === 'text:list-level-style-number')
        styles.numbered.add(list.attribs['style:name'] ?? '');
    }
  }
  return styles;
}

/**
 * The words of an OpenDocument text as plain HTML, by the element names of the OASIS OpenDocument standard, version 1.3,
 * part 3: headings, paragraphs, spans that are bold or italic, links, lists, tables and pictures.
 *
 * @param content the archive's content.xml
 * @param styles its styles.xml, or nothing
 * @returns HTML in which a picture's address is its path in the archive
 */
export function htmlFromOdt(content: string, styles: string): string {
  const read = (xml: string) => parseDocument(xml, { xmlMode: true }).children;
  const document = read(content);
  const known = stylesOf([document, read(styles)]);
  const inside = (node: Element, list = ''): string =>
    node.children.map((child) => html(child, list)).join('');

  function html(node: AnyNode, list: string): string {
    if (isText(node)) return escaped(node.data);
    if (!isTag(node)) return '';
    const { attribs } = node;
    switch (node.name) {
      case 'text:h': {
        // A title stands above the headings, so these move down by one.
        const level = Math.min(6, Math.max(1, Number(attribs['text:outline-level'] ?? 1) || 1) + 1);
        return `<h${level}>${inside(node)}</h${level}>`;
      }
      case 'text:p': {
        const words = `<p>${inside(node)}</p>`;
        if (known.titles.has(attribs['text:style-name'] ?? '')) return `<h1>${inside(node)}</h1>`;
        return known.quotes.has(attribs['text:style-name'] ?? '')
          ? `<blockquote>${words}</blockquote>`
          : words;
      }
      case 'text:span': {
        const name = attribs['text:style-name'] ?? '';
        let words = inside(node);
        if (known.italic.has(name)) words = `<i>${words}</i>`;
        if (known.bold.has(name)) words = `<b>${words}</b>`;
        return words;
      }
      case 'text:a':
        return `<a href="${escaped(attribs['xlink:href'] ?? '')}">${inside(node)}</a>`;
      case 'text:s':
      case 'text:tab':
        return ' ';
      case 'text:line-break':
        return '<br>';
      case 'text:list': {
        // A list inside a list mostly names no style of its own and goes on with that of the outer one.
        const style = attribs['text:style-name'] ?? list;
        const tag = known.numbered.has(style) ? 'ol' : 'ul';
        return `<${tag}>${inside(node, style)}</${tag}>`;
      }
      case 'text:list-item':
      case 'text:list-header':
        return `<li>${inside(node, list)}</li>`;
      case 'table:table':
        return `<table>${inside(node)}</table>`;
      case 'table:table-header-rows':
        return `<thead>${inside(node)}</thead>`;
      case 'table:table-row':
        return `<tr>${inside(node)}</tr>`;
      case 'table:table-cell':
        return `<td>${inside(node)}</td>`;
      case 'draw:frame': {
        const [image] = all(node.children, 'draw:image');
        if (!image) return inside(node);
        const said = [...all(node.children, 'svg:title'), ...all(node.children, 'svg:desc')].at(0);
        const alt = said?.children.map((child) => (isText(child) ? child.data : '')).join('') ?? '';
        return `<img src="${escaped(image.attribs['xlink:href'] ?? '')}" alt="${escaped(alt)}">`;
      }
      // Contents, notes in the margin, and what was deleted while changes were tracked, are not the document's words.
      case 'text:tracked-changes':
      case 'office:annotation':
      case 'text:table-of-content':
      case 'svg:title':
      case 'svg:desc':
        return '';
      default:
        return inside(node, list);
    }
  }
  return all(document, 'office:body')
    .map((body) => inside(body))
    .join('');
}
