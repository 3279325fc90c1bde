import type { Id } from '../id.ts';
import { pathOfPages } from '../access/path-of-pages.ts';
import { rulesOfPage } from './page-kinds.ts';
import type { Standing } from './page-tree.ts';
import { rankAt } from './rank-at.ts';

/** A place in the tree: below which page, or at the top, and how many of those beside it stand before. */
export interface PagePlace {
  parent: Id | null;
  at: number;
}

/**
 * Why a page may not be put below another, as a sentence for its maker; null where it may.
 *
 * @param parent the page it would stand below; null for the top
 */
export function whyNotBelow(pages: readonly Standing[], id: Id, parent: Id | null): string | null {
  const page = pages.find((one) => one.id === id);
  if (!page) return 'This page is not here any more.';
  if (rulesOfPage(page).isFront) return 'The front page stays at the top.';
  if (parent === null) return null;
  const over = pages.find((one) => one.id === parent);
  if (!over) return 'The page it would stand below is not here any more.';
  if (!rulesOfPage(over).holds)
    return `Nothing can stand below ${rulesOfPage(over).isFront ? 'the front page' : `a ${rulesOfPage(over).name.toLowerCase()}`}.`;
  const path = pathOfPages(pages, parent);
  if (!path) return 'The page it would stand below has no place itself. Put that one right first.';
  if (path.some((one) => one.id === id)) return 'A page cannot stand below itself.';
  return null;
}

/**
 * What of a page changes when it is put at a place.
 *
 * @throws RangeError where it may not stand there; see `whyNotBelow`
 */
export function placed(
  pages: readonly Standing[],
  id: Id,
  { parent, at }: PagePlace,
): { parent: Id | null; rank: string } {
  const why = whyNotBelow(pages, id, parent);
  if (why !== null) throw new RangeError(why);
  const known = new Set(pages.map((one) => one.id));
  const standsBelow = (one: Standing) => (one.parent !== null && known.has(one.parent) ? one.parent : null);
  const beside = pages.filter(
    (one) => one.id !== id && standsBelow(one) === parent && !rulesOfPage(one).isFront,
  );
  return { parent, rank: rankAt(beside, at) };
}
