import type { Id } from '../id.ts';
import { materialsOn } from '../pages/materials-on.ts';
import { type Page, shownOn } from '../pages/page.ts';
import { missingProvenance } from '../credits/provenance.ts';
import type { Draft } from '../sites/site.ts';

/**
 * Pages that show someone else's work without saying where it is from or under which licence.
 *
 * @param wanted which pages are asked about
 * @returns each with how many such works it shows; none where all is named
 */
export function pagesWithoutCredit(
  { pages, materials }: Pick<Draft, 'pages' | 'materials'>,
  wanted: (page: Page) => boolean,
): { page: Id; title: string; count: number }[] {
  const unnamed = new Set(
    materials.flatMap(({ id, kind, provenance }) =>
      kind !== 'note' &&
      provenance.whose === 'someone-else' &&
      missingProvenance(provenance).some((one) => one === 'source' || one === 'licence')
        ? [id]
        : [],
    ),
  );
  if (unnamed.size === 0) return [];
  return pages.filter(wanted).flatMap((page) => {
    const count = new Set(materialsOn(shownOn(page)).filter((id) => unnamed.has(id))).size;
    return count > 0 ? [{ page: page.id, title: page.title, count }] : [];
  });
}
