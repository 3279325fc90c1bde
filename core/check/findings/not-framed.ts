import { framedBy } from '../../materials/link.ts';
import { called, type CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Links that are to be shown in place and cannot be: what they lead to does not let itself be shown inside other pages. */
export const notFramed = ({ page, materials }: CheckedPage): Noticed[] =>
  page.parts.flatMap((part) => {
    if (part.kind !== 'link' || part.form !== 'in-place' || part.material === null) return [];
    const one = materials.get(part.material);
    // What does not open is told by another rule.
    if (one?.kind !== 'link' || one.facts.state !== 'read' || framedBy(one.facts)) return [];
    return {
      ...{ weight: 'nice' as const, part: part.id, material: one.id, of: one.facts.url },
      says: `${called(one)} does not let itself be shown inside your page.`,
      why: 'Readers get a card in its place and leave your page to see it. Say beside it what is there, or choose a card or a button yourself.',
    };
  });
