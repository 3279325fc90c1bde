import { brokenLink } from '../broken-link.ts';
import type { CheckedSite, NoticedOnSite } from '../checked-site.ts';
import { toldOnce } from '../told-once.ts';
import { stands } from '../../sites/quick-link.ts';

/** Quick links that did not open when they were last tried; one that stands nowhere is nobody's loss. */
export const quickLinkBroken = ({ pages, quickLinks, answers }: CheckedSite): NoticedOnSite[] => {
  const page = toldOnce(pages);
  if (page === null) return [];
  return quickLinks.filter(stands).flatMap(({ id, name, to, inMenu }) => {
    const state = answers.get(to)?.state ?? 'read';
    if (state === 'read') return [];
    const { says, why } = brokenLink[state];
    return {
      ...{ weight: 'nice' as const, page, part: null, material: null, of: `${id} ${to} ${state}`, why },
      says: `The link “${name.trim()}” ${inMenu ? 'in the menu' : 'at the end of pages'} ${says}`,
      leadsTo: to,
    };
  });
};
