import { lowest, reaches } from './height.ts';
import type { Id } from '../id.ts';
import type { Draft } from '../sites/site.ts';
import { effectiveHeight } from './effective-height.ts';
import { pathOfPages } from './path-of-pages.ts';
import { shownOn } from '../pages/page.ts';
import { seenBy, type SiteView } from './seen-by.ts';

/** What each way in shows; null where that way in does not exist. */
export interface Entrances {
  public: SiteView | null;
  siteLink: SiteView | null;
  /** For each page that stands in no list and is opened by its own link, and for each version of a résumé that is Unlisted. */
  pageLinks: Record<Id, SiteView>;
}

/** All ways into a site that do not need a pass, with what each of them shows. */
export function entrancesOf(draft: Draft): Entrances {
  const pageLinks: Record<Id, SiteView> = {};
  for (const page of draft.pages) {
    const path = pathOfPages(draft.pages, page.id);
    const listed = path !== null && lowest(path.map((one) => one.height)) === 'public';
    if (listed || !reaches(effectiveHeight(draft, { page: page.id }).height, 'unlisted')) continue;
    const view = seenBy(draft, { kind: 'page-link', page: page.id });
    if (view) pageLinks[page.id] = view;
  }
  for (const { parts } of draft.pages.map(shownOn))
    for (const { kind, id, height } of parts) {
      if (kind !== 'version' || height !== 'unlisted') continue;
      const view = seenBy(draft, { kind: 'page-link', page: id });
      if (view) pageLinks[id] = view;
    }
  return {
    public: seenBy(draft, { kind: 'stranger' }),
    siteLink: seenBy(draft, { kind: 'site-link' }),
    pageLinks,
  };
}
