import { effectiveHeight } from '../access/effective-height.ts';
import { reaches } from '../content/height.ts';
import type { Draft } from '../content/site.ts';
import { materialsOn } from '../content/materials-on.ts';

/**
 * The part of a draft that a release may keep: nothing whose effective height is Private. Later differences are
 * told against this copy, and bringing a release back renders it again, so it must not hold what nobody may see.
 */
export function releasable(draft: Draft): Draft {
  if (draft.site.height === 'private') return { site: draft.site, pages: [], materials: [] };
  const pages = draft.pages
    .filter((page) => reaches(effectiveHeight(draft, { page: page.id }).height, 'invited'))
    .map((page) => ({
      ...page,
      parts: page.parts.filter((part) =>
        reaches(effectiveHeight(draft, { page: page.id, part: part.id }).height, 'invited'),
      ),
    }));
  const used = new Set(pages.flatMap(materialsOn));
  for (const { id, shownBy } of draft.materials) if (used.has(id) && shownBy !== null) used.add(shownBy);
  return { site: draft.site, pages, materials: draft.materials.filter(({ id }) => used.has(id)) };
}
