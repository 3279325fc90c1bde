import type { Id } from '../id.ts';

interface Standing {
  id: Id;
  parent: Id | null;
}
interface Tree<P> {
  byId: Map<Id, P>;
  paths: Map<Id, readonly P[] | null>;
}

/**
 * What was worked out for a list of pages, for as long as somebody has the list. Lists are never changed in place: a
 * change makes a new one.
 */
const trees = new WeakMap<readonly Standing[], Tree<Standing>>();

/**
 * The page and the pages it stands in, outermost first. A page whose parent is missing or whose parents form a
 * circle has no place in the tree: null, so that callers treat it as private.
 */
export function pathOfPages<P extends Standing>(pages: readonly P[], id: Id): readonly P[] | null {
  let tree = trees.get(pages) as Tree<P> | undefined;
  if (!tree) {
    tree = { byId: new Map(pages.map((page) => [page.id, page])), paths: new Map() };
    trees.set(pages, tree);
  }
  const known = tree.paths.get(id);
  if (known !== undefined) return known;
  const path: P[] = [];
  const met = new Set<Id>();
  let next: Id | null = id;
  while (next !== null) {
    const page = tree.byId.get(next);
    if (!page || met.has(next)) {
      tree.paths.set(id, null);
      return null;
    }
    met.add(next);
    path.push(page);
    next = page.parent;
  }
  path.reverse();
  tree.paths.set(id, path);
  return path;
}
