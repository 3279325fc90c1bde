import { pathOfPages } from '../access/path-of-pages.ts';
import { rulesOfPage } from './page-kinds.ts';
import type { Page } from './page.ts';

/** Where a page stands below the way in, of all pages of its site: `year-one/tide-clock/`; empty for the front page. */
export function pathBelow(pages: readonly Page[], page: Page): string {
  const path = pathOfPages(pages, page.id) ?? [page];
  const own = path.filter((one) => rulesOfPage(one).opens && !rulesOfPage(one).isFront);
  return own.map(({ slug }) => `${slug}/`).join('');
}
