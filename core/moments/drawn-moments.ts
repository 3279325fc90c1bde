import { compareRoughDates } from '../dates/rough-date.ts';
import type { Id } from '../id.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import { type Page, shownOn } from '../pages/page.ts';
import { pagesBelow } from '../pages/pages-below.ts';
import type { Moment } from '../parts/moment.ts';
import type { Process } from '../parts/process.ts';
import { momentsOf } from './moments-of.ts';

/** A moment and the page it is kept on. */
export interface KeptMoment {
  page: Id;
  moment: Moment;
}

/** Moments in time; of equal dates as they are kept. */
export const inOrderOfTime = (moments: readonly KeptMoment[]): KeptMoment[] =>
  [...moments].sort((a, b) => compareRoughDates(a.moment.date, b.moment.date));

/**
 * The moments that a process part draws, in time.
 *
 * @param pages all that may be drawn from; what is not among them is left out
 * @param on the page that the part stands on; on the front page the work of the whole site hangs
 */
export function drawnMoments(
  pages: readonly Page[],
  on: Page,
  { pages: wanted, phase, chosen }: Pick<Process, 'pages' | 'phase' | 'chosen'>,
): KeptMoment[] {
  const ids =
    wanted ??
    (rulesOfPage(on).isFront
      ? pages.map(({ id }) => id)
      : [on.id, ...pagesBelow(pages, on.id).map(({ id }) => id)]);
  const byId = new Map(pages.map((page) => [page.id, page]));
  const picked = new Set(chosen);
  return inOrderOfTime(
    [...new Set(ids)].flatMap((id) => {
      const page = byId.get(id);
      return (page ? momentsOf(shownOn(page).parts) : [])
        .filter((moment) => picked.size === 0 || picked.has(moment.id))
        .filter((moment) => phase === null || moment.phase === phase)
        .map((moment) => ({ page: id, moment }));
    }),
  );
}

/** All moments that some process part of these pages draws. */
export function allDrawnMoments(pages: readonly Page[]): Set<Id> {
  const drawn = new Set<Id>();
  for (const page of pages)
    for (const part of shownOn(page).parts)
      if (part.kind === 'process')
        for (const { moment } of drawnMoments(pages, page, part)) drawn.add(moment.id);
  return drawn;
}
