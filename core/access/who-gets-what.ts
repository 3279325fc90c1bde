import type { Id } from '../id.ts';
import { inReadingOrder } from '../pages/in-reading-order.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import { isShown } from '../pages/page.ts';
import type { Draft } from '../sites/site.ts';
import { heightsOf } from './heights-of.ts';
import { openPages } from './open-pages.ts';
import type { Viewer } from './viewer.ts';

/** Whether somebody gets something; what stands in no list they get by a link of its own. */
export type Gets = 'yes' | 'no' | 'by-its-own-link';

/** What each of some viewers gets of one page. */
export interface PageGets {
  page: Id;
  /** For each viewer, in their order. */
  gets: Gets[];
  /** Parts that some of them get and others, who get the page, do not. */
  parts: { part: Id; gets: Gets[] }[];
}

/**
 * Who gets what of a draft, by the function that filters a release (`openPages`): for each page with an address what each viewer gets,
 * and for parts where they differ.
 */
export function whoGetsWhat(draft: Draft, viewers: readonly Viewer[]): PageGets[] {
  const heights = heightsOf(draft);
  const opened = viewers.map((viewer) => {
    const open = openPages(draft, viewer, heights);
    return { viewer, open, ids: new Set(open?.pages.map(({ id }) => id)) };
  });
  return inReadingOrder(draft.pages)
    .filter((page) => rulesOfPage(page).opens)
    .map((page) => {
      const gets = opened.map(({ viewer, ids }): Gets => {
        if (ids.has(page.id)) return 'yes';
        const own =
          viewer.kind === 'site-link' && openPages(draft, { kind: 'page-link', page: page.id }, heights);
        return own ? 'by-its-own-link' : 'no';
      });
      const parts = isShown(page)
        ? page.parts.flatMap(({ id }) => {
            const ofPart = opened.map(({ open }, at): Gets => {
              const ofPage = gets[at] ?? 'no';
              if (ofPage === 'no') return 'no';
              // Whoever has the link of a page reaches as far as whoever has that of the site.
              const reaches = open?.partReaches(page.id, id) ?? false;
              return reaches ? ofPage : 'no';
            });
            const differs = ofPart.some((one, at) => one !== gets[at]);
            return differs ? [{ part: id, gets: ofPart }] : [];
          })
        : [];
      return { page: page.id, gets, parts };
    });
}
