import { isTag } from 'domhandler';
import { DomUtils, parseDocument } from 'htmlparser2';

/** Addresses that a page names, resolved against its own; each once, without what stands behind a `#`. */
export interface LinksInPage {
  /** Where it leads. */
  leads: string[];
  /** What it is shown with: pictures, sheets, scripts, recordings, captions. */
  loads: string[];
}

/** Candidates of a `srcset` (HTML Standard, "parsing a srcset attribute", for addresses without commas at their ends). */
const candidates = (srcset: string): string[] =>
  srcset
    .split(/,\s+/)
    .map((one) => one.trim().split(/\s+/, 1)[0] ?? '')
    .filter(Boolean);

/** Rels of `link` elements that a browser fetches to show the page; the others lead somewhere or tell something. */
const shownRels = new Set(['stylesheet', 'icon', 'preload', 'modulepreload', 'manifest']);

/**
 * What somebody who opens a page is led to, and what their browser loads for it.
 *
 * @param at the page's own address
 */
export function linksInPage(html: string, at: string): LinksInPage {
  const [leads, loads] = [new Set<string>(), new Set<string>()];
  const add = (to: Set<string>, address: string | undefined) => {
    if (!address || !URL.canParse(address, at)) return;
    const url = new URL(address, at);
    if (!/^https?:$/.test(url.protocol)) return;
    url.hash = '';
    to.add(url.href);
  };
  for (const element of DomUtils.filter(isTag, parseDocument(html).children, true)) {
    if (!isTag(element)) continue;
    const { name, attribs } = element;
    if (name === 'a' || name === 'area') add(leads, attribs['href']);
    else if (name === 'link') {
      const rels = (attribs['rel'] ?? '').toLowerCase().split(/\s+/);
      if (rels.some((rel) => shownRels.has(rel))) add(loads, attribs['href']);
      // Where other sites ask how to show this one: it leads no reader anywhere.
      else if (rels.includes('alternate') && attribs['type'] !== 'application/json+oembed')
        add(leads, attribs['href']);
    } else if (['img', 'source', 'script', 'audio', 'video', 'track', 'iframe'].includes(name)) {
      add(loads, attribs['src']);
      add(loads, attribs['poster']);
      for (const one of candidates(attribs['srcset'] ?? '')) add(loads, one);
    }
  }
  return { leads: [...leads], loads: [...loads] };
}
