import type { Id } from '../id.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import { type Page, shownOn } from '../pages/page.ts';
import { isEmptyPart } from '../parts/is-empty-part.ts';
import type { Draft } from '../sites/site.ts';
import { type Height, lowest, reaches } from './height.ts';
import { type Heights, heightsOf } from './heights-of.ts';
import { type LinkedTo, linkedTo } from './linked-to.ts';
import { ownHeight } from './own-height.ts';
import { pathOfPages } from './path-of-pages.ts';
import { reachOf, type Viewer } from './viewer.ts';

/** The pages that a viewer may open, and how they come in. */
export interface OpenPages {
  /** As the draft has them. */
  pages: Page[];
  /** The page at which a way in opens that is made for one thing alone; null where the site is entered. */
  entry: Id | null;
  /** What the way in is made for by name, as far as it is there. */
  ways: readonly LinkedTo[];
  /** The lowest effective height they can still see. */
  reach: Height;
  /** Whether a part of a page, or a thing inside one, is high enough for them. */
  partReaches(page: Id, part: Id): boolean;
}

/**
 * Whether a page lies within what the viewer entered through. A link opens what is listed below it: a page set to
 * Unlisted by its own maker stands in no list and is opened by its own link only.
 */
function inScope(viewer: Viewer, ways: readonly LinkedTo[], path: readonly Page[]): boolean {
  const ids = path.map((page) => page.id);
  switch (viewer.kind) {
    case 'maker':
    case 'stranger':
      return true;
    case 'site-link':
      return lowest(path.map(ownHeight)) === 'public';
    case 'page-link': {
      const at = ids.indexOf(ways[0]?.page ?? '');
      return at >= 0 && lowest(path.slice(at + 1).map(ownHeight)) === 'public';
    }
    case 'pass':
      return viewer.covers === 'site' || ways.some(({ page }) => ids.includes(page));
  }
}

/** What a viewer's way in is made for by name, be it a page or one version of a résumé. */
function namedBy(viewer: Viewer): readonly Id[] {
  if (viewer.kind === 'page-link') return [viewer.page];
  return viewer.kind === 'pass' && viewer.covers !== 'site' ? viewer.covers : [];
}

/** The page that a way in which is made for one thing alone opens at; null where the site is entered. */
function entryOf(draft: Draft, viewer: Viewer, ways: readonly LinkedTo[]): Id | null {
  const entry = namedBy(viewer).length === 1 ? (ways[0]?.page ?? null) : null;
  if (viewer.kind !== 'pass') return entry;
  const page = draft.pages.find(({ id }) => id === entry);
  // A heading has no address; a pass for the front page enters the site.
  return page && rulesOfPage(page).opens && !rulesOfPage(page).isFront ? entry : null;
}

/** Whether a version of a résumé says something to somebody. */
const isThere = (
  draft: Draft,
  page: Id,
  version: Id,
  partReaches: (page: Id, part: Id) => boolean,
): boolean =>
  partReaches(page, version) &&
  draft.pages
    .filter(({ id }) => id === page)
    .flatMap((one) => shownOn(one).parts)
    .some((part) => part.id === version && !isEmptyPart(part));

/**
 * Which pages a viewer may open; null where they may open nothing at all. What is shown of them is told by `seenBy`, which asks here.
 *
 * @param heights of the draft, where they are known already: of many viewers they are the same
 */
export function openPages(
  draft: Draft,
  viewer: Viewer,
  heights: Heights = heightsOf(draft),
): OpenPages | null {
  const reach = reachOf(viewer);
  if (!reaches(heights.site, reach)) return null;
  const partReaches = (page: Id, part: Id) => reaches(heights.parts.get(page)?.get(part) ?? 'private', reach);
  // A version that is not there for somebody leads them to nothing.
  const ways = namedBy(viewer)
    .flatMap((thing) => linkedTo(draft.pages, thing) ?? [])
    .filter(({ page, version }) => version === null || isThere(draft, page, version, partReaches));
  const entry = entryOf(draft, viewer, ways);
  const pages = draft.pages.filter((page) => {
    if (!reaches(heights.pages.get(page.id) ?? 'private', reach)) return false;
    const path = pathOfPages(draft.pages, page.id);
    return path !== null && inScope(viewer, ways, path);
  });
  if (viewer.kind === 'page-link' && !pages.some((page) => page.id === entry)) return null;
  if (viewer.kind === 'pass' && pages.length === 0) return null;
  return { pages, entry, ways, reach, partReaches };
}
