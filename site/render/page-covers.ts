import type { SeenPage, SiteView } from '#core/access/seen-by.ts';
import { pagePicture } from '#core/gallery/picture-source.ts';
import { coverOf as pictureOfPage, picturesOn } from '#core/gallery/cover-of.ts';
import { underWords } from '#core/gallery/under-words.ts';
import type { Id } from '#core/id.ts';
import { workOn } from '#core/menu/work-on.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { materialsOf } from '#core/parts/materials-of.ts';

const isPictureOf =
  ({ materials }: SiteView) =>
  (id: Id) =>
    materials[id]?.kind === 'picture';

/** Ids of what a page shows as pictures of its own; see `picturesOn`. */
export const ownPictures = (page: SeenPage, view: SiteView): Id[] => picturesOn(page, isPictureOf(view));

/** Pictures of a view that words may lie over; see `underWords`. */
export const picturesUnderWords = (view: SiteView): Set<Id> =>
  underWords({ labels: view.site.wallLabels, look: view.site.look }, view.pages, isPictureOf(view));

/** The picture that stands for a page: as `coverOf` has it, else the first page of a document on it. */
export function coverOf(page: SeenPage, view: SiteView): Id | null {
  const own = pictureOfPage(page, isPictureOf(view));
  if (own !== null) return own;
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
