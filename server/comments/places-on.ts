import { LRUCache } from 'lru-cache';
import { type Element, isTag } from 'domhandler';
import { DomUtils, parseDocument } from 'htmlparser2';
import { squeezed } from '#core/comments/quote.ts';
import { cut } from '#core/words/cut.ts';
import { partAnchor } from '#core/parts/part-anchor.ts';
import type { PlaceOnPage } from '#site/comments/comments-view.tsx';

/** So much of what stands in a part names it, where nothing stands over it; in characters. */
const nameLength = 48;
const anchor = partAnchor('');
const { findAll, findOne, textContent } = DomUtils;

const plain = (text: string): string => text.replace(/\s+/g, ' ').trim();

function titleOf(place: Element): string {
  const heading = findOne(({ name }) => /^h[2-4]$/.test(name), place.children, true);
  const words = plain(textContent(heading ?? place));
  if (words !== '') return cut(words, nameLength);
  const picture = findOne(
    ({ name, attribs }) => name === 'img' && Boolean(attribs['alt']),
    place.children,
    true,
  );
  return cut(plain(picture?.attribs['alt'] ?? ''), nameLength);
}

/** A part on a released page, and what it says, squeezed. */
export interface SaidPlace extends PlaceOnPage {
  text: string;
}

const known = new LRUCache<string, readonly SaidPlace[]>({ max: 500 });
const saidOn = new LRUCache<string, string>({ max: 500 });

/**
 * All that a released page says to its reader, squeezed, so that quoted words can be looked for in it.
 *
 * @param hash of the page
 */
export function wordsOnPage(hash: string, html: string): string {
  const before = saidOn.get(hash);
  if (before !== undefined) return before;
  const { children } = parseDocument(html);
  const main = findOne(({ name }) => name === 'main', children, true);
  const said = squeezed(main ? textContent(main) : '');
  saidOn.set(hash, said);
  return said;
}

/**
 * The parts on a released page by name, as its reader sees them, in their order. One that says nothing is called by nothing.
 *
 * @param hash of the page
 */
export function placesOn(hash: string, html: string): readonly SaidPlace[] {
  const before = known.get(hash);
  if (before) return before;
  const places = findAll(
    (element) =>
      isTag(element) && element.name === 'section' && Boolean(element.attribs['id']?.startsWith(anchor)),
    parseDocument(html).children,
  ).map((place) => ({
    part: (place.attribs['id'] ?? '').slice(anchor.length),
    title: titleOf(place),
    text: squeezed(textContent(place)),
  }));
  known.set(hash, places);
  return places;
}

/** What a released page is called: the heading above all of it, else what its window says. */
export function pageTitleIn(html: string): string {
  const { children } = parseDocument(html);
  const named = (tag: string) => findOne(({ name }) => name === tag, children, true);
  const heading = named('h1') ?? named('title');
  return cut(plain(heading ? textContent(heading) : ''), nameLength);
}
