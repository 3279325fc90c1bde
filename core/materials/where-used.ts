import type { Id } from '../id.ts';
import { type Page, shownOn } from '../pages/page.ts';
import { materialsOn } from '../pages/materials-on.ts';

/** The pages that show a material, in the order given, with how often each does. */
export function whereUsed(pages: readonly Page[], material: Id): { page: Page; times: number }[] {
  return pages.flatMap((page) => {
    const times = materialsOn(shownOn(page)).filter((id) => id === material).length;
    return times > 0 ? [{ page, times }] : [];
  });
}

/** Every material that some page shows. */
export function usedMaterials(pages: readonly Page[]): Set<Id> {
  return new Set(pages.flatMap((page) => materialsOn(shownOn(page))));
}
