import { pathOfPages } from '#core/access/path-of-pages.ts';
import type { Page } from '#core/pages/page.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import type { Draft } from '#core/sites/site.ts';

/** Where a page stands below the way in: `year-one/tide-clock/`. */
export function pathBelow({ pages }: Pick<Draft, 'pages'>, page: Page): string {
  const path = pathOfPages(pages, page.id) ?? [page];
  const own = path.filter((one) => rulesOfPage(one).opens && !rulesOfPage(one).isFront);
  return own.map(({ slug }) => `${slug}/`).join('');
}

/** Where a page stands below the site's address, for its maker to read: `/wren-makes/year-one/tide-clock/`. */
export const pagePath = (draft: Pick<Draft, 'site' | 'pages'>, page: Page): string =>
  `/${draft.site.address ?? '…'}/${pathBelow(draft, page)}`;
