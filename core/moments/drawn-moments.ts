import { compareRoughDates } from '../dates/rough-date.ts';
import type { Id } from '../id.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import { type Page, shownOn } from '../pages/page.ts';
import { pagesBelow } from '../pages/pages-below.ts';
import type { Moment } from '../parts/moment.ts';
import { isKnownPart, type Part, type PartOf } from '../parts/parts.ts';
import { momentsOf } from './moments-of.ts';

/** A moment and the page it is kept on. */
export interface KeptMoment {
  page: Id;
  moment: Moment;
}

/** Moments in time; of equal dates as they are kept. */
export const inOrderOfTime = (moments: readonly KeptMoment[]): KeptMoment[] =>
  [...moments].sort((a, b) => compareRoughDates(a.moment.date, b.moment.date));

/** A part that draws moments. */
type Drawing = PartOf<'process' | 'decisions'>;

export const drawsMoments = (part: Part): part is Drawing =>
  isKnownPart(part) && (part.kind === 'process' || part.kind === 'decisions');

/** Which of its moments a part wants: those of a phase or chosen ones; a table of decisions those in which something was decided. */
const wants = (part: Drawing): ((moment: Moment) => boolean) => {
  if (part.kind === 'decisions') return ({ decided }) => decided.trim() !== '';
  const picked = new Set(part.chosen);
  return ({ id, phase }) =>
    (picked.size === 0 || picked.has(id)) && (part.phase === null || phase === part.phase);
};

/**
 * The moments that a part draws, in time.
 *
 * @param pages all that may be drawn from; what is not among them is left out
 * @param on the page that the part stands on; on the front page the work of the whole site hangs
 */
export function drawnMoments(pages: readonly Page[], on: Page, part: Drawing): KeptMoment[] {
  const ids =
    part.pages ??
    (rulesOfPage(on).isFront
      ? pages.map(({ id }) => id)
      : [on.id, ...pagesBelow(pages, on.id).map(({ id }) => id)]);
  const byId = new Map(pages.map((page) => [page.id, page]));
  return inOrderOfTime(
    [...new Set(ids)].flatMap((id) => {
      const page = byId.get(id);
      return (page ? momentsOf(shownOn(page).parts) : [])
        .filter(wants(part))
        .map((moment) => ({ page: id, moment }));
    }),
  );
}

/** All moments that some part of these pages draws. */
export function allDrawnMoments(pages: readonly Page[]): Set<Id> {
  const drawn = new Set<Id>();
  for (const page of pages)
    for (const part of shownOn(page).parts)
      if (drawsMoments(part)) for (const { moment } of drawnMoments(pages, page, part)) drawn.add(moment.id);
  return drawn;
}
