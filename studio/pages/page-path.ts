import type { Page } from '#core/pages/page.ts';
import { pathBelow } from '#core/pages/path-below.ts';
import type { Draft } from '#core/sites/site.ts';

/** Where a page stands below the site's address, for its maker to read: `/wren-makes/year-one/tide-clock/`. */
export const pagePath = (draft: Pick<Draft, 'site' | 'pages'>, page: Page): string =>
  `/${draft.site.address ?? '…'}/${pathBelow(draft.pages, page)}`;
