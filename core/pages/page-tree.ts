import type { Id } from '../id.ts';
import { byRank } from './by-rank.ts';
import { rulesOfPage } from './page-kinds.ts';

/** What of a page says where it stands. */
export interface Standing {
  id: Id;
  kind: string;
  parent: Id | null;
  rank: string;
}

/** A page with what stands below it, in order. */
export interface PageNode<P extends Standing> {
  page: P;
  below: PageNode<P>[];
}

/**
 * All pages of a site as its maker arranges them: the front page first, then brothers and sisters by rank. Every page is in
 * it once: one whose parent is missing stands at the top, and so does the first by rank of those whose parents form a
 * circle. For readers these are private (`pathOfPages`); their maker has to find them to put them right.
 */
export function pageTree<P extends Standing>(pages: readonly P[]): PageNode<P>[] {
  const byId = new Map(pages.map((page) => [page.id, page]));
  const inOrder = [...pages].sort(
    (a, b) => Number(rulesOfPage(b).isFront) - Number(rulesOfPage(a).isFront) || byRank(a, b),
  );
  const below = new Map<Id | null, P[]>();
  for (const page of inOrder) {
    const parent = page.parent !== null && byId.has(page.parent) ? page.parent : null;
    const list = below.get(parent);
    if (list) list.push(page);
    else below.set(parent, [page]);
  }
  const placed = new Set<Id>();
  const node = (page: P): PageNode<P> => {
    placed.add(page.id);
    return { page, below: (below.get(page.id) ?? []).filter(({ id }) => !placed.has(id)).map(node) };
  };
  const tree = (below.get(null) ?? []).map(node);
  // What is left stands in circles.
  for (const page of inOrder) if (!placed.has(page.id)) tree.push(node(page));
  return tree;
}

/** Every page of a tree with how deep it stands, from the top down; 0 is the top. */
export const flatTree = <P extends Standing>(
  tree: readonly PageNode<P>[],
  depth = 0,
): { page: P; depth: number }[] =>
  tree.flatMap(({ page, below }) => [{ page, depth }, ...flatTree(below, depth + 1)]);
