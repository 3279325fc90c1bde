import { pageName } from '../../pages/page-kinds.ts';
import { called, standingOn } from '../checked-page.ts';
import type { CheckedSite, NoticedOnSite } from '../checked-site.ts';
import { sellsBy } from '../selling.ts';

/**
 * Others' work under a NonCommercial licence on a site that sells something. CC BY-NC 4.0, section 1 (i), means uses “not primarily
 * intended for or directed towards commercial advantage or monetary compensation”; whether a site is that is not for a rule to say, so it
 * is asked.
 */
export const notForSale = ({ pages, materials, language }: CheckedSite): NoticedOnSite[] => {
  const bound = new Set(
    [...materials.values()]
      .filter(({ provenance: { whose, licence } }) => whose === 'someone-else' && licence?.includes('-NC-'))
      .map(({ id }) => id),
  );
  if (bound.size === 0) return [];
  const offer = pages
    .map((page) => ({ page, by: sellsBy(page, language) }))
    .sort((one, other) => (one.page.id < other.page.id ? -1 : 1))
    .find(({ by }) => by !== null);
  if (!offer) return [];
  return pages.flatMap((page) =>
    standingOn(page).flatMap(({ material, part }) => {
      const one = materials.get(material);
      if (!one || !bound.has(material)) return [];
      return {
        ...{ weight: 'nice' as const, page: page.id, part, material },
        of: `${one.provenance.licence ?? ''} ${offer.by ?? ''}`,
        says: `${called(one)} is under a NonCommercial licence, and ${pageName(offer.page)} says “${offer.by ?? ''}”.`,
        why: 'Where money is made it may not be shown without leave. Ask whoever made it, or show something else; let it stand if nothing is sold here.',
      };
    }),
  );
};
