import type { SeenPage, SiteView } from '#core/access/seen-by.ts';
import type { Id } from '#core/id.ts';
import type { MenuNode } from '#core/menu/readers-menu.ts';
import { titleInMenu } from '#core/menu/title-in-menu.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import type { QuickLink } from '#core/sites/quick-link.ts';
import type { MenuLink, PageInput } from './page-input.ts';

type Paths = ReadonlyMap<Id, string>;

/** Of each page of a view, those it stands below. */
export function pagesAbove({ pages }: SiteView): (id: Id) => ReadonlySet<Id> {
  const parents = new Map(pages.map(({ id, parent }) => [id, parent]));
  return (id) => {
    const above = new Set<Id>();
    for (
      let next = parents.get(id) ?? null;
      next !== null && !above.has(next);
      next = parents.get(next) ?? null
    )
      above.add(next);
    return above;
  };
}

function linkTo(page: SeenPage, paths: Paths): Pick<MenuLink, 'path' | 'outside'> {
  if (page.lead) return { path: null, outside: page.lead };
  return { path: rulesOfPage(page).opens ? (paths.get(page.id) ?? '') : null, outside: null };
}

/**
 * The menu as it stands on one page: the same for all of them but for where the reader is. Work that stands below nothing
 * hangs on the front page, so that is where its reader is.
 *
 * @param above what the page stands below
 */
export function linksOf(
  menu: readonly MenuNode[],
  page: SeenPage,
  above: ReadonlySet<Id>,
  paths: Paths,
): MenuLink[] {
  const namesIt = (nodes: readonly MenuNode[]): boolean =>
    nodes.some((node) => node.page.id === page.id || above.has(node.page.id) || namesIt(node.below));
  const onWall = rulesOfPage(page).isWork && !namesIt(menu);
  const link = ({ page: one, title, below }: MenuNode): MenuLink => ({
    title,
    ...linkTo(one, paths),
    current:
      one.id === page.id
        ? 'page'
        : above.has(one.id) || (onWall && rulesOfPage(one).isFront)
          ? 'above'
          : null,
    below: below.map(link),
  });
  return menu.map(link);
}

/** What stands right below a page, as a list on it; a group hangs its work on its own wall. */
export function linksBelow(view: SiteView, page: SeenPage, paths: Paths): MenuLink[] {
  const onWall = page.kind === 'group';
  return view.pages.flatMap((one) => {
    const { isWork } = rulesOfPage(one);
    const title = titleInMenu(one, view.site.language);
    if (one.parent !== page.id || title === null || (onWall && isWork)) return [];
    const link = linkTo(one, paths);
    if (link.path === null && link.outside === null) return [];
    return [{ title, ...link, current: null, below: [] }];
  });
}

/** The nearest page above one that has an address. */
export function linkUp(view: SiteView, page: SeenPage, paths: Paths): PageInput['up'] {
  const byId = new Map(view.pages.map((one) => [one.id, one]));
  const met = new Set<Id>();
  for (let id = page.parent; id !== null && !met.has(id);) {
    met.add(id);
    const over = byId.get(id);
    if (!over) return null;
    const title = titleInMenu(over, view.site.language);
    if (rulesOfPage(over).opens && title !== null) return { title, path: paths.get(over.id) ?? '' };
    id = over.parent;
  }
  return null;
}

/** A link that stands on many pages, as a line of a menu. */
export const quickLink = ({ name, to, newWindow }: QuickLink): MenuLink => ({
  ...{ title: name.trim(), path: null, outside: { to, newWindow }, current: null, below: [] },
});
