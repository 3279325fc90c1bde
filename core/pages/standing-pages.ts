import { isShown, type Page, type ShownPage } from './page.ts';

/** Pages that are not put away, neither themselves nor with what they stand in: nobody gets the others. */
export function standingPages(pages: readonly Page[]): ShownPage[] {
  const known = new Map(pages.map((page) => [page.id, page]));
  const isAway = (page: Page | undefined): boolean =>
    page !== undefined && (page.archived || (page.parent !== null && isAway(known.get(page.parent))));
  return pages.filter(isShown).filter((page) => !isAway(page));
}
