import type { Id } from '../id.ts';
import type { Look } from '../look/look.ts';
import { type Page, shownOn } from '../pages/page.ts';
import { materialsOn } from '../pages/materials-on.ts';

/** The pages that show a material, in the order given, with how often each does. */
export function whereUsed(pages: readonly Page[], material: Id): { page: Page; times: number }[] {
  return pages.flatMap((page) => {
    const times = materialsOn(shownOn(page)).filter((id) => id === material).length;
    return times > 0 ? [{ page, times }] : [];
  });
}

/**
 * Every material that some page shows.
 *
 * @param look of the site, where its ground is asked for too
 */
export function usedMaterials(pages: readonly Page[], look?: Look): Set<Id> {
  const used = new Set(pages.flatMap((page) => materialsOn(shownOn(page))));
  const ground = look?.ground.picture ?? null;
  return ground === null ? used : used.add(ground);
}
