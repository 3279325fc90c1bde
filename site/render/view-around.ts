import { seenBy, type SiteView } from '#core/access/seen-by.ts';
import type { Id } from '#core/id.ts';
import { isShown, type Page } from '#core/pages/page.ts';
import { noCover } from '#core/pages/cover.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import type { Draft } from '#core/sites/site.ts';
import { wallOf } from './page-inputs.ts';

/** What stands on a page, left out. */
const bare = (page: Page): Page =>
  isShown(page) ? { ...page, cover: noCover, opening: { ...page.opening, pictures: [] }, parts: [] } : page;

/**
 * The maker's view of a draft, with only as much of other pages as one page is drawn from: names and places of all, and
 * what the pages before and after it show, since it has a card of each. What a site of hundreds of pages shows
 * elsewhere costs nothing at a key press.
 */
export function viewAround(draft: Draft, id: Id): SiteView | null {
  const page = draft.pages.find((one) => one.id === id);
  // All work hangs on the front page.
  if (!page || rulesOfPage(page).isFront) return seenBy(draft, { kind: 'maker' });
  const only = (whole: ReadonlySet<Id>): SiteView | null =>
    seenBy(
      { ...draft, pages: draft.pages.map((one) => (whole.has(one.id) ? one : bare(one))) },
      { kind: 'maker' },
    );
  const names = only(new Set());
  if (!names) return null;
  const wall = wallOf(names).map((one) => one.id);
  const at = wall.indexOf(id);
  return only(new Set([id, ...(at < 0 ? [] : wall.slice(Math.max(0, at - 1), at + 2))]));
}
