import type { SeenPage, SiteView } from '../access/seen-by.ts';
import type { Id } from '../id.ts';
import { titleInMenu } from './title-in-menu.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';

/** What stands in the menu of one kind of reader, with what stands below it. */
export interface MenuNode {
  page: SeenPage;
  title: string;
  below: MenuNode[];
}

/** How deep the menu goes: what stands deeper is led to by the page above it. */
const deepest = 3;

/**
 * The menu of whoever has a view: made from it and from nothing else, so it names only what they may open. A heading with nothing
 * below it leaves with what it headed, and so does a group that shows nothing of its own and holds nothing for this reader.
 *
 * Who came by the link of one page has no menu.
 */
export function readersMenu(view: SiteView): MenuNode[] {
  if (view.entry !== null) return [];
  const below = new Map<Id | null, SeenPage[]>();
  for (const page of view.pages) below.set(page.parent, [...(below.get(page.parent) ?? []), page]);
  const nodes = (parent: Id | null, depth: number): MenuNode[] =>
    (below.get(parent) ?? []).flatMap((page) => {
      const title = titleInMenu(page, view.site.language);
      if (title === null || !page.inMenu) return [];
      const inside = depth < deepest ? nodes(page.id, depth + 1) : [];
      const isBare = inside.length === 0 && !(below.get(page.id) ?? []).some((one) => rulesOfPage(one).opens);
      if (isBare && leadsNowhere(page)) return [];
      return [{ page, title, below: inside }];
    });
  return frontFirst(nodes(null, 1));
}

/** Nothing would be found behind it. */
function leadsNowhere(page: SeenPage): boolean {
  if (page.kind === 'link') return page.lead === null;
  if (page.kind === 'heading') return true;
  const isBlank = page.parts.length === 0 && page.opening.pictures.length === 0 && page.summary === '';
  return page.kind === 'group' && isBlank;
}

const frontFirst = (nodes: readonly MenuNode[]): MenuNode[] =>
  [...nodes].sort((a, b) => Number(rulesOfPage(b.page).isFront) - Number(rulesOfPage(a.page).isFront));
