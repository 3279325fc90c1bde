import type { Id } from '../id.ts';
import { rulesOfPage } from './page-kinds.ts';
import type { PagePlace } from './page-places.ts';
import type { PageNode, Standing } from './page-tree.ts';

/** A line of the tree as it is shown. */
export interface TreeRow<P extends Standing = Standing> {
  page: P;
  /** 0 at the top. */
  depth: number;
  /** What stands below it is not shown. */
  folded: boolean;
}

/** Where something that is carried would land: so many rows stand before it, and so deep. */
export interface Carrying {
  gap: number;
  /** As deep as its maker asks for; see `landingAt` for how deep it can be. */
  depth: number;
}

/** The rows of a tree without what is folded away, and without what stands below the one that is carried. */
export function treeRows<P extends Standing>(
  tree: readonly PageNode<P>[],
  folded: ReadonlySet<Id>,
  depth = 0,
): TreeRow<P>[] {
  return tree.flatMap(({ page, below }) => {
    const isFolded = below.length > 0 && folded.has(page.id);
    return [{ page, depth, folded: isFolded }, ...(isFolded ? [] : treeRows(below, folded, depth + 1))];
  });
}

/**
 * The place in the tree between two rows: as deep as is asked for, no deeper than the row above lets it be, and no higher than
 * what stands below it goes on to be. What is put into something folded comes last there.
 *
 * @param rows what is shown, without the page that is carried and what stands below it
 */
export function landingAt(rows: readonly TreeRow[], { gap, depth }: Carrying): PagePlace & Carrying {
  const at = Math.min(Math.max(gap, firstGap(rows)), rows.length);
  const [above, next] = [rows[at - 1], rows[at]];
  const deepest = above ? above.depth + (rulesOfPage(above.page).holds ? 1 : 0) : 0;
  const level = Math.min(Math.max(depth, next?.depth ?? 0), deepest);
  let parent: Id | null = null;
  let beside = 0;
  for (let row = at - 1; row >= 0; row--) {
    const one = rows[row];
    if (!one || one.depth < level) {
      parent = one?.page.id ?? null;
      if (one?.folded) beside = Number.MAX_SAFE_INTEGER;
      break;
    }
    if (one.depth === level && !rulesOfPage(one.page).isFront) beside++;
  }
  return { gap: at, depth: level, parent, at: beside };
}

/** Nothing stands before the front page. */
const firstGap = (rows: readonly TreeRow[]): number => (rows[0] && rulesOfPage(rows[0].page).isFront ? 1 : 0);

/** The rows without a page and what stands below it, and where it stands among them now. */
export function pickedUp<P extends Standing>(
  rows: readonly TreeRow<P>[],
  id: Id,
): { rest: TreeRow<P>[]; carrying: Carrying } | null {
  const from = rows.findIndex(({ page }) => page.id === id);
  const own = rows[from];
  if (!own) return null;
  const after = rows.findIndex(({ depth }, at) => at > from && depth <= own.depth);
  const to = after < 0 ? rows.length : after;
  return { rest: [...rows.slice(0, from), ...rows.slice(to)], carrying: { gap: from, depth: own.depth } };
}

/** The pages of a tree without those that were put away and what stands below them. */
export const withoutPutAway = <P extends Standing & { archived: boolean }>(
  tree: readonly PageNode<P>[],
): PageNode<P>[] =>
  tree.flatMap(({ page, below }) => (page.archived ? [] : [{ page, below: withoutPutAway(below) }]));
