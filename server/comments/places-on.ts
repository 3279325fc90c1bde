import { LRUCache } from 'lru-cache';
import { type ChildNode, type Element, isTag, isText } from 'domhandler';
import { DomUtils, parseDocument } from 'htmlparser2';
import { squeezed } from '#core/comments/quote.ts';
import { shortened } from '#core/words/shortened.ts';
import { placeNamed } from './anchored-in.ts';
import type { PlaceOnPage } from '#site/comments/comment-form.ts';

/** So much of what stands in a part names it, where nothing stands over it; in characters. */
const nameLength = 48;
const { findAll, findOne, textContent } = DomUtils;

/** Elements that stand within a line; all others begin and end one. */
const withinLine = new Set(
  'a abbr b bdi bdo cite code data dfn em i kbd mark q s samp small span strong sub sup time u var'.split(
    ' ',
  ),
);

/** Words as they stand on a page: what stands on lines of its own does not run into what follows. */
const linesOf = (node: ChildNode): string => {
  if (isText(node)) return node.data;
  if (!isTag(node)) return '';
  const within = node.children.map(linesOf).join('');
  return withinLine.has(node.name) ? within : ` ${within} `;
};

const plain = (text: string): string => text.replace(/\s+/g, ' ').trim();

function titleOf(place: Element): string {
  const heading = findOne(({ name }) => /^h[2-4]$/.test(name), place.children, true);
  const words = plain(linesOf(heading ?? place));
  if (words !== '') return shortened(words, nameLength);
  const picture = findOne(
    ({ name, attribs }) => name === 'img' && Boolean(attribs['alt']),
    place.children,
    true,
  );
  return shortened(plain(picture?.attribs['alt'] ?? ''), nameLength);
}

/** A moment by its heading and its date: many are called alike, or by nothing. */
function momentTitle(place: Element): string {
  const date = findOne(({ name }) => name === 'time', place.children, true);
  return [titleOf(place), date ? plain(textContent(date)) : ''].filter(Boolean).join(', ');
}

/** A part or moment on a released page, and what it says, squeezed. */
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
 * The parts and moments on a released page by name, as its reader sees them, in their order. One that says nothing is called by nothing.
 *
 * @param hash of the page
 */
export function placesOn(hash: string, html: string): readonly SaidPlace[] {
  const before = known.get(hash);
  if (before) return before;
  const places = findAll((element) => placeNamed(element) !== null, parseDocument(html).children).flatMap(
    (place) => {
      const named = placeNamed(place);
      if (!named) return [];
      const text = squeezed(textContent(place));
      return { part: named.id, title: named.kind === 'moment' ? momentTitle(place) : titleOf(place), text };
    },
  );
  known.set(hash, places);
  return places;
}

/** What a released page is called: the heading above all of it, else what its window says. */
export function pageTitleIn(html: string): string {
  const { children } = parseDocument(html);
  const named = (tag: string) => findOne(({ name }) => name === tag, children, true);
  const heading = named('h1') ?? named('title');
  return shortened(plain(heading ? linesOf(heading) : ''), nameLength);
}
