import { seenBy, type SiteView } from '#core/access/seen-by.ts';
import type { Id } from '#core/id.ts';
import { isShown, type Page, shownOn } from '#core/pages/page.ts';
import { resumeFacts } from '#core/resume/resume-content-of.ts';
import { noCover } from '#core/pages/cover.ts';
import { workBeside, workOn } from '#core/menu/work-on.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { isMoment } from '#core/moments/moments-of.ts';
import type { Part } from '#core/parts/parts.ts';
import type { Draft } from '#core/sites/site.ts';

/** What stands on a page, left out; but for what another page draws of it. */
const bare = (page: Page, isDrawn: (part: Part) => boolean): Page =>
  isShown(page)
    ? {
        ...page,
        cover: noCover,
        opening: { ...page.opening, pictures: [] },
        parts: page.parts.filter(isDrawn),
      }
    : page;

/**
 * The maker's view of a draft, with only as much of other pages as one page is drawn from: names and places of all, and
 * what groups show, since one that shows nothing stands in no menu, and what those pages show of which it has a card. What a site of hundreds of pages shows
 * elsewhere costs nothing at a key press.
 */
export function viewAround(draft: Draft, id: Id): SiteView | null {
  const page = draft.pages.find((one) => one.id === id);
  // All work hangs on the front page.
  if (!page || rulesOfPage(page).isFront) return seenBy(draft, { kind: 'maker' });
  // Moments are drawn by this page, or by one of which it has a card. A résumé says of its maker what stands on other pages, and is
  // proved by moments that those draw.
  const hasResume = shownOn(page).parts.some(({ kind }) => kind === 'version');
  const isDrawn = (part: Part) =>
    isMoment(part) || (hasResume && (part.kind === 'process' || resumeFacts.includes(part.kind)));
  const only = (whole: ReadonlySet<Id>): SiteView | null =>
    seenBy(
      {
        ...draft,
        pages: draft.pages.map((one) =>
          whole.has(one.id) || one.kind === 'group' ? one : bare(one, isDrawn),
        ),
      },
      { kind: 'maker' },
    );
  const names = only(new Set());
  if (!names) return null;
  const seen = names.pages.find((one) => one.id === id);
  if (!seen) return null;
  const beside = workBeside(names, seen).map((one) => one.id);
  const at = beside.indexOf(id);
  const onIt = workOn(names, seen).map((one) => one.id);
  return only(new Set([id, ...onIt, ...(at < 0 ? [] : beside.slice(Math.max(0, at - 1), at + 2))]));
}
