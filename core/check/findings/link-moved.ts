import { hostOf } from '../../links/host-of.ts';
import { linksElsewhere } from '../../links/links-elsewhere.ts';
import { shortened } from '../../words/shortened.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

const why =
  'Its old address leads on for now. Such a sign is taken down some day, and readers come to an error then.';

/** Links to pages that have moved for good, as they say themselves. */
export const linkMoved = ({ page, materials, answers }: CheckedPage): Noticed[] => [
  ...standingOn(page).flatMap(({ material, part }) => {
    const one = materials.get(material);
    const movedTo = one?.kind === 'link' && one.facts.state === 'read' ? one.facts.movedTo : null;
    if (one?.kind !== 'link' || movedTo === null) return [];
    return {
      ...{ weight: 'nice' as const, part, material, of: `${one.facts.url} ${movedTo}` },
      says: `${called(one)} has moved to ${shortened(movedTo, 80)}.`,
      why: `${why} Gather it from its new address, and take the old one off.`,
    };
  }),
  ...linksElsewhere(page.parts).flatMap(({ part, to, words }) => {
    const answer = answers.get(to);
    if (answer?.state !== 'read' || answer.movedTo === null) return [];
    return {
      ...{ weight: 'nice' as const, part, material: null, of: `${to} ${answer.movedTo}`, why },
      says: `What “${shortened(words || hostOf(to) || to, 80)}” leads to has moved to ${shortened(answer.movedTo, 80)}.`,
      leadsTo: to,
      movedTo: answer.movedTo,
    };
  }),
];
