import { hostOf } from '../../links/host-of.ts';
import { linksElsewhere } from '../../links/links-elsewhere.ts';
import { shortened } from '../../words/shortened.ts';
import { brokenLink } from '../broken-link.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Links to pages elsewhere that did not open when they were last read, or tried. */
export const linkBroken = ({ page, materials, answers }: CheckedPage): Noticed[] => [
  ...standingOn(page).flatMap(({ material, part }) => {
    const one = materials.get(material);
    if (one?.kind !== 'link' || one.facts.state === 'read') return [];
    const { weight, says, why } = brokenLink[one.facts.state];
    return {
      ...{ weight, part, material, why },
      of: `${one.facts.url} ${one.facts.state}`,
      says: `${called(one)} ${says}`,
    };
  }),
  ...linksElsewhere(page.parts).flatMap(({ part, to, words }) => {
    const state = answers.get(to)?.state ?? 'read';
    if (state === 'read') return [];
    const { weight, says, why } = brokenLink[state];
    return {
      ...{ weight, part, material: null, why },
      of: `${to} ${state}`,
      says: `The link “${shortened(words || hostOf(to) || to, 80)}” ${says}`,
      leadsTo: to,
    };
  }),
];
