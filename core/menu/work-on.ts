import type { SeenPage, SiteView } from '../access/seen-by.ts';
import type { Id } from '../id.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import { inWallOrder } from '../pages/wall-order.ts';

const isHung = (page: SeenPage, { entry }: SiteView): boolean =>
  rulesOfPage(page).isWork && page.title.trim() !== '' && page.id !== entry;

/** Pages by their ids, for as long as somebody has the view. */
const known = new WeakMap<SiteView, ReadonlyMap<Id, SeenPage>>();

/** The group a page stands in, through headings, which are no pages; null where it stands in none. */
function groupOf({ parent }: SeenPage, view: SiteView): SeenPage | null {
  const byId = known.get(view) ?? new Map(view.pages.map((one) => [one.id, one]));
  known.set(view, byId);
  const met = new Set<Id>();
  for (let id = parent; id !== null && !met.has(id);) {
    met.add(id);
    const over = byId.get(id);
    if (over?.kind === 'group') return over;
    if (!over || over.kind !== 'heading') return null;
    id = over.parent;
  }
  return null;
}

/**
 * Work by the group it stands in, groups in the order in which their first one comes, and last what stands in none.
 *
 * @param work some of the view's
 */
export function workByGroup(
  view: SiteView,
  work: readonly SeenPage[],
): { group: SeenPage | null; work: SeenPage[] }[] {
  const groups = new Map<SeenPage | null, SeenPage[]>();
  for (const page of work) {
    const group = groupOf(page, view);
    groups.set(group, [...(groups.get(group) ?? []), page]);
  }
  return [...groups]
    .sort(([a], [b]) => Number(a === null) - Number(b === null))
    .map(([group, members]) => ({ group, work: members }));
}

/** The work that hangs on a page, in order: on the front page all that has a name and was not taken off, on a group's what stands in it. */
export function workOn(view: SiteView, page: SeenPage): SeenPage[] {
  if (rulesOfPage(page).isFront)
    return inWallOrder(
      view.pages.filter((one) => isHung(one, view) && one.onWall),
      view.site,
    );
  if (page.kind !== 'group') return [];
  return view.pages.filter((one) => isHung(one, view) && groupOf(one, view)?.id === page.id);
}

/**
 * The work among which a reader goes on from a page to the next: that of its group, or all that stands in none, as it hangs on
 * the front page.
 */
export function workBeside(view: SiteView, page: SeenPage): SeenPage[] {
  if (!isHung(page, view)) return [];
  const group = groupOf(page, view)?.id;
  const beside = view.pages.filter((one) => isHung(one, view) && groupOf(one, view)?.id === group);
  return group === undefined ? inWallOrder(beside, view.site) : beside;
}
