import { hostOf } from '../../links/host-of.ts';
import { linksElsewhere } from '../../links/links-elsewhere.ts';
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
      says: `${called(one)} has moved to ${movedTo}.`,
      why: `${why} Gather it from its new address, and take the old one off.`,
    };
  }),
  ...linksElsewhere(page.parts).flatMap(({ part, to, words }) => {
    const answer = answers.get(to);
    if (answer?.state !== 'read' || answer.movedTo === null) return [];
    return {
      ...{ weight: 'nice' as const, part, material: null, of: `${to} ${answer.movedTo}`, why },
      says: `What “${words || hostOf(to) || to}” leads to has moved to ${answer.movedTo}.`,
      leadsTo: to,
      movedTo: answer.movedTo,
    };
  }),
];
