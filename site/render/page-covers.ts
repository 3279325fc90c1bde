import type { SeenPage, SiteView } from '#core/access/seen-by.ts';
import { pagePicture } from '#core/gallery/picture-source.ts';
import type { Id } from '#core/id.ts';
import { workOn } from '#core/menu/work-on.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { materialsOf } from '#core/parts/materials-of.ts';

/** Ids of what a page shows as pictures of its own, in reading order and once each; not what its documents hold. */
export function picturesOn({ opening, parts }: SeenPage, { materials }: SiteView): Id[] {
  const shown = new Set([...opening.pictures, ...parts.flatMap(materialsOf)]);
  return [...shown].filter((id) => materials[id]?.kind === 'picture');
}

/** The picture that stands for a page: the one its maker chose, else its opening's first, else the first of its parts, else a document's first page. */
export function coverOf(page: SeenPage, view: SiteView): Id | null {
  if (page.cover.picture !== null) return page.cover.picture;
  const [first] = picturesOn(page, view);
  if (first !== undefined) return first;
  for (const id of page.parts.flatMap(materialsOf)) {
    const material = view.materials[id];
    if (material?.kind !== 'document') continue;
    const shown = material.shownBy ?? material;
    if (shown.facts.pages.length > 0) return pagePicture(shown.id, 0);
  }
  return null;
}

/** The picture shown where a link to a page is passed on: of a site without one of its own, that of the first work on its front page. */
export function sharedCover(page: SeenPage, view: SiteView): Id | null {
  const own = coverOf(page, view);
  if (own !== null || !rulesOfPage(page).isFront) return own;
  return (
    workOn(view, page)
      .map((one) => coverOf(one, view))
      .find((id) => id !== null) ?? null
  );
}

/** Each page that has an address, with that picture. */
export function sharedCovers(view: SiteView): { page: SeenPage; picture: Id | null }[] {
  return view.pages
    .filter((page) => rulesOfPage(page).opens)
    .map((page) => ({ page, picture: sharedCover(page, view) }));
}
