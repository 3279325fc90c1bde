import { hostOf } from '../../links/host-of.ts';
import { linksElsewhere } from '../../links/links-elsewhere.ts';
import type { LinkState } from '../../materials/link.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed, Weight } from '../noticed.ts';

const told: { [K in Exclude<LinkState, 'read'>]: { weight: Weight; says: string; why: string } } = {
  gone: {
    weight: 'needed',
    says: 'leads to a page that is not there any more.',
    why: 'Readers come to an error. Look for its new address, or take the link off.',
  },
  closed: {
    weight: 'nice',
    says: 'leads to a page that asks for a password.',
    why: 'You may be let in where your readers are not. Open it in a private window and see.',
  },
  slow: {
    weight: 'nice',
    says: 'leads to a page that did not answer in time.',
    why: 'Try it again later; if it stays slow, say on the page what is there.',
  },
  unreachable: {
    weight: 'nice',
    says: 'leads to a page that could not be reached.',
    why: 'Its address may be mistyped or its server down. Try it again later.',
  },
};

/** Links to pages elsewhere that did not open when they were last read, or tried. */
export const linkBroken = ({ page, materials, answers }: CheckedPage): Noticed[] => [
  ...standingOn(page).flatMap(({ material, part }) => {
    const one = materials.get(material);
    if (one?.kind !== 'link' || one.facts.state === 'read') return [];
    const { weight, says, why } = told[one.facts.state];
    return {
      ...{ weight, part, material, why },
      of: `${one.facts.url} ${one.facts.state}`,
      says: `${called(one)} ${says}`,
    };
  }),
  ...linksElsewhere(page.parts).flatMap(({ part, to, words }) => {
    const state = answers.get(to)?.state ?? 'read';
    if (state === 'read') return [];
    const { weight, says, why } = told[state];
    return {
      ...{ weight, part, material: null, why },
      of: `${to} ${state}`,
      says: `The link “${words || hostOf(to) || to}” ${says}`,
      leadsTo: to,
    };
  }),
];
