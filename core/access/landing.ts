import type { Id } from '../id.ts';
import type { Page } from '../pages/page.ts';
import { pagesBelow } from '../pages/pages-below.ts';
import type { Draft } from '../sites/site.ts';
import { effectiveHeight, type EffectiveHeight } from './effective-height.ts';
import { type Height, heightLevel } from './height.ts';

/** What it would do to a page, and to what stands below it, to stand somewhere else. */
export interface Landing {
  before: Height;
  after: EffectiveHeight;
  /** So many pages below it would be lower than they are, and so many higher. */
  below: { lower: number; higher: number };
}

/**
 * What a place does to effective heights: told while a page is carried, before it is let go.
 *
 * @param parent the page it would stand below; null for the top
 */
export function landing(draft: Pick<Draft, 'site' | 'pages'>, id: Id, parent: Id | null): Landing {
  const there = {
    site: draft.site,
    pages: draft.pages.map((page): Page => (page.id === id ? { ...page, parent } : page)),
  };
  const below = { lower: 0, higher: 0 };
  for (const page of pagesBelow(draft.pages, id)) {
    const [was, is] = [draft, there].map((one) =>
      heightLevel(effectiveHeight(one, { page: page.id }).height),
    );
    if (was === undefined || is === undefined) continue;
    if (is < was) below.lower++;
    if (is > was) below.higher++;
  }
  return {
    before: effectiveHeight(draft, { page: id }).height,
    after: effectiveHeight(there, { page: id }),
    below,
  };
}
