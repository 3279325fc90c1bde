import { missingProvenance } from '../../credits/provenance.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

const names = {
  maker: 'who made it',
  source: 'where it is from',
  licence: 'under which terms it may be shown',
};

/** Others' work that is shown without saying whose it is, where it is from and what allows it. */
export const creditMissing = ({ page, materials }: CheckedPage): Noticed[] =>
  standingOn(page).flatMap(({ material, part }) => {
    const one = materials.get(material);
    if (!one || one.kind === 'note') return [];
    const missing = missingProvenance(one.provenance);
    if (missing.length === 0) return [];
    const theirs = one.provenance.whose === 'someone-else';
    // Nobody may know who made it; where it is from and what allows it can always be said.
    const needed = theirs && missing.some((what) => what !== 'maker');
    return {
      ...{ weight: needed ? ('needed' as const) : ('nice' as const), part, material, of: missing.join(' ') },
      says: `${called(one)} does not say ${missing.map((what) => names[what]).join(', nor ')}.`,
      why: theirs
        ? 'It is marked as somebody else’s. Readers, and whoever made it, must find that out on the page.'
        : 'It is marked as made with others. Name them, or mark it as yours.',
    };
  });
