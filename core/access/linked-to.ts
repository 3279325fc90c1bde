import type { Id } from '../id.ts';
import { type Page, shownOn } from '../pages/page.ts';

/** What a link opens: a page, or of a page with a résumé one version alone. */
export interface LinkedTo {
  page: Id;
  version: Id | null;
}

/**
 * What the link of a thing leads to; null of a thing that has none. An id that is a page's is never a version's.
 *
 * @param thing id of a page, or of a version of a résumé
 */
export function linkedTo(pages: readonly Page[], thing: Id): LinkedTo | null {
  if (pages.some(({ id }) => id === thing)) return { page: thing, version: null };
  const page = pages.find((one) =>
    shownOn(one).parts.some(({ kind, id }) => kind === 'version' && id === thing),
  );
  return page ? { page: page.id, version: thing } : null;
}
