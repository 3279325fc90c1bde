import { isTag, type Node } from 'domhandler';
import { DomUtils } from 'htmlparser2';
import type { Id } from '#core/id.ts';
import { partAnchor } from '#core/parts/part-anchor.ts';

const anchor = partAnchor('');

/** The part or moment that an element is the place of; null for none. A moment is named by its heading, and is all that stands around that. */
export function placeNamed(node: Node): { id: Id; kind: 'part' | 'moment' } | null {
  if (!isTag(node)) return null;
  const idOf = ({ attribs }: { attribs: Record<string, string | undefined> }) =>
    attribs['id']?.startsWith(anchor) ? attribs['id'].slice(anchor.length) : null;
  if (node.name === 'section') {
    const id = idOf(node);
    return id === null ? null : { id, kind: 'part' };
  }
  if (node.name !== 'li' || !/(?:^| )moment(?: |$)/.test(node.attribs['class'] ?? '')) return null;
  const heading = DomUtils.findOne(
    ({ name, attribs }) => /^h[34]$/.test(name) && idOf({ attribs }) !== null,
    node.children,
    true,
  );
  const id = heading && idOf(heading);
  return id ? { id, kind: 'moment' } : null;
}

/** The innermost part or moment around something; null above all of them. */
export function anchoredIn(node: Node | null): Id | null {
  for (let at = node; at; at = at.parent) {
    const named = placeNamed(at);
    if (named) return named.id;
  }
  return null;
}
