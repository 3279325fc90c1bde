import { cut } from '../words/cut.ts';
import type { Id } from '../id.ts';
import { copyOfPart } from '../parts/copy-of-part.ts';
import type { Part } from '../parts/parts.ts';
import { isShown, type Page, type PageBase } from './page.ts';
import { pageTree, type PageNode } from './page-tree.ts';

/**
 * A second page with the same words, pictures and facts. It starts Private: a whole page that its maker has not looked at
 * yet must not go out with the next publish.
 *
 * @param at its place among the others, and its own part of the address
 * @param newId makes an id for the page and each of its parts
 */
export function copyOfPage<P extends Page>(page: P, at: Pick<PageBase, 'rank' | 'slug'>, newId: () => Id): P {
  const copy: P = {
    ...page,
    ...at,
    id: newId(),
    title: page.title ? cut(`Copy of ${page.title}`, 160) : '',
    height: 'private',
    archived: false,
  };
  if (!isShown(page)) return copy;
  const ids = new Map(page.parts.map(({ id }) => [id, newId()]));
  const parts = page.parts.map((part) => {
    const { beside } = part;
    const other = beside && ids.get(beside.with);
    return {
      ...withNamesOf(copyOfPart(part, newId), ids, new Map([[page.id, copy.id]])),
      id: ids.get(part.id) ?? newId(),
      ...(beside && other ? { beside: { ...beside, with: other } } : {}),
    };
  });
  return { ...copy, parts };
}

/** A part that names others of its page, with those of the copy in their place; what it names on other pages stays. */
function withNamesOf(part: Part, parts: ReadonlyMap<Id, Id>, pages: ReadonlyMap<Id, Id>): Part {
  if (part.kind === 'moment')
    return { ...part, ledTo: part.ledTo === null ? null : (parts.get(part.ledTo) ?? null) };
  if (part.kind !== 'process') return part;
  return {
    ...part,
    chosen: part.chosen.map((id) => parts.get(id) ?? id),
    pages: part.pages && part.pages.map((id) => pages.get(id) ?? id),
  };
}

interface Taking {
  newId: () => Id;
  /** The address of each copy; asked once for each, those above first. */
  slugFor: (page: Page) => string;
}

/**
 * Copies of a page and of all that stands below it, those above first, but for what was put away there. Only the first is
 * Private and named as a copy: what stands below it keeps its own height and name, and flies no higher than the first.
 *
 * @returns none where the page is not among them
 */
export function copyOfTree(
  pages: readonly Page[],
  id: Id,
  { newId, slugFor }: Taking,
  at: Pick<PageBase, 'rank'>,
): Page[] {
  const copies: Page[] = [];
  const copyBelow = (nodes: readonly PageNode<Page>[], parent: Id): void => {
    for (const { page, below } of nodes) {
      if (page.archived) continue;
      const { title, height, rank } = page;
      const copy = { ...copyOfPage(page, { rank, slug: slugFor(page) }, newId), title, height, parent };
      copies.push(copy);
      copyBelow(below, copy.id);
    }
  };
  const root = find(pageTree(pages), id);
  if (!root) return [];
  const first = copyOfPage(root.page, { ...at, slug: slugFor(root.page) }, newId);
  copies.push(first);
  copyBelow(root.below, first.id);
  return copies;
}

function find(nodes: readonly PageNode<Page>[], id: Id): PageNode<Page> | null {
  for (const node of nodes) {
    const found = node.page.id === id ? node : find(node.below, id);
    if (found) return found;
  }
  return null;
}
