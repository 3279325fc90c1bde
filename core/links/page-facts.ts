import { type AnyNode, isTag, isText } from 'domhandler';
import { parseDocument } from 'htmlparser2';
import { shortened } from '../words/shortened.ts';

/** What a web page says about itself. Addresses are as the page writes them and may be relative to it. */
export interface PageFacts {
  title: string;
  description: string;
  /** Name of the site it belongs to. */
  site: string;
  /** Address of the picture that stands for it. */
  picture: string | null;
  /** Address that tells how its clip is played elsewhere (oEmbed, as JSON). */
  oembed: string | null;
  /** Address that all others on the page are relative to, where it names one. */
  base: string | null;
}

const longest = { title: 160, description: 600, site: 120 };

const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();

/**
 * Reads the head of a web page: Open Graph (ogp.me), the HTML elements `title` and `meta`, and oEmbed discovery
 * (oembed.com, section 4). Nothing of it is run or kept as HTML.
 *
 * @param html the page or its beginning; need not be well formed
 */
export function pageFacts(html: string): PageFacts {
  const meta = new Map<string, string>();
  let title = '';
  let oembed: string | null = null;
  let base: string | null = null;
  const visit = (node: AnyNode, inside: boolean): void => {
    if (!isTag(node)) return;
    const { name, attribs } = node;
    if (name === 'meta') {
      const key = (attribs['property'] ?? attribs['name'] ?? '').toLowerCase().trim();
      const content = oneLine(attribs['content'] ?? '');
      if (key && content && !meta.has(key)) meta.set(key, content);
    } else if (name === 'title' && !inside && title === '')
      title = oneLine(node.children.map((child) => (isText(child) ? child.data : '')).join(''));
    else if (name === 'base' && base === null) base = attribs['href']?.trim() || null;
    else if (name === 'link') {
      const relations = (attribs['rel'] ?? '').toLowerCase().split(/\s+/);
      const type = (attribs['type'] ?? '').toLowerCase().trim();
      if (relations.includes('alternate') && type === 'application/json+oembed' && attribs['href'])
        oembed ??= attribs['href'].trim();
    } else for (const child of node.children) visit(child, inside || name === 'svg');
  };
  for (const node of parseDocument(html).children) visit(node, false);
  const said = (...names: string[]) => names.map((name) => meta.get(name)).find(Boolean) ?? '';
  return {
    title: shortened(said('og:title') || title, longest.title),
    description: shortened(said('og:description', 'description'), longest.description),
    site: shortened(said('og:site_name', 'application-name'), longest.site),
    picture: said('og:image:secure_url', 'og:image', 'og:image:url') || null,
    oembed,
    base,
  };
}
