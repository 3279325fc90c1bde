import type { CheckedSite, NoticedOnSite } from '../checked-site.ts';
import { toldOnce } from '../told-once.ts';

/** Hand-ins whose readers would not find what is to be handed in, or no longer find what was. */
export const handInClosed = ({ pages, givenOut }: CheckedSite): NoticedOnSite[] => {
  const on = toldOnce(pages);
  if (on === null) return [];
  return givenOut.handIns.flatMap(({ id, what, warnings }) => {
    const [first] = warnings;
    if (first === undefined) return [];
    return {
      ...{ weight: 'nice' as const, page: on, part: null, material: null, of: `${id} ${warnings.join(' ')}` },
      says: `Hand-in “${what}”: ${first}`,
      why: 'Whoever marks it opens that link and nothing else. Mend it among your hand-ins.',
    };
  });
};
