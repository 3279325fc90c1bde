import { coverFor } from '../access/cover-for.ts';
import { heightsOf } from '../access/heights-of.ts';
import { type Height, reaches } from '../access/height.ts';
import type { Draft } from '../sites/site.ts';
import { withGroundPicture } from '../look/ground-picture.ts';
import { allDrawnMoments } from '../moments/drawn-moments.ts';
import { isMoment } from '../moments/moments-of.ts';
import { withHeld } from '../parts/held-in.ts';
import { materialsOn } from '../pages/materials-on.ts';
import { isShown, type Page, shownOn } from '../pages/page.ts';

/**
 * The part of a draft that a release may keep: nothing whose effective height is Private. Later differences are
 * told against this copy, and bringing a release back renders it again, so it must not hold what nobody may see.
 */
export function releasable(draft: Draft): Draft {
  if (draft.site.height === 'private')
    return {
      site: {
        ...draft.site,
        ...{ wallOrder: [], offWall: [], quickLinks: [], notMoments: [], waived: [], lists: [] },
        look: withGroundPicture(draft.site.look, () => false),
      },
      pages: [],
      materials: [],
    };
  const heights = heightsOf(draft);
  const kept = (height: Height | undefined) => height !== undefined && reaches(height, 'invited');
  const open = draft.pages
    .filter(({ id }) => kept(heights.pages.get(id)))
    .map((page): Page => {
      const ofParts = heights.parts.get(page.id);
      if (!isShown(page)) return page;
      const parts = page.parts
        .filter(({ id }) => kept(ofParts?.get(id)))
        .map((part) => withHeld(part, (held) => (kept(ofParts?.get(held.id)) ? held : null)));
      return { ...page, parts, cover: coverFor(page, parts) };
    });
  // What no page draws is its maker's notebook, and no release has it.
  const drawn = allDrawnMoments(open);
  const pages = open.map((page): Page =>
    isShown(page) && page.parts.some(isMoment)
      ? { ...page, parts: page.parts.filter((part) => !isMoment(part) || drawn.has(part.id)) }
      : page,
  );
  const used = new Set(pages.flatMap((page) => materialsOn(shownOn(page))));
  const look = withGroundPicture(draft.site.look, () => pages.length > 0);
  if (look.ground.picture !== null) used.add(look.ground.picture);
  for (const { id, shownBy } of draft.materials) if (used.has(id) && shownBy !== null) used.add(shownBy);
  const isKept = (id: string) => pages.some((page) => page.id === id);
  const { wallOrder, offWall } = draft.site;
  const quickLinks = draft.site.quickLinks.map((link) => ({ ...link, pages: link.pages.filter(isKept) }));
  const site = {
    ...draft.site,
    look,
    ...{
      wallOrder: wallOrder.filter(isKept),
      offWall: offWall.filter(isKept),
      quickLinks,
      notMoments: [],
      waived: [],
      lists: [],
    },
  };
  return { site, pages, materials: draft.materials.filter(({ id }) => used.has(id)) };
}
