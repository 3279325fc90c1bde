import type { Id } from '../id.ts';
import { drawnMoments, drawsMoments, type KeptMoment } from '../moments/drawn-moments.ts';
import type { SeenMoment } from '../moments/seen-moment.ts';
import { type Page, shownOn } from '../pages/page.ts';
import { isEmptyPart } from '../parts/is-empty-part.ts';

/** What each part of a page that draws moments draws for a reader, by the part's id. */
export interface MomentsOnPage {
  byPart: ReadonlyMap<Id, SeenMoment[]>;
  /** Those that have a place on the page, which others can lead to. */
  addressed: ReadonlySet<Id>;
  /** What they show, in reading order. */
  materials: Id[];
}

interface Reader {
  /** Pages that they can open; moments of others are not drawn for them. */
  open: readonly Page[];
  /** Whether a part of a page reaches them. */
  reaches: (page: Id, part: Id) => boolean;
  /** Takes a material along if they may see it. */
  show: (material: Id) => boolean;
}

/**
 * The moments that a page draws for one reader, as they get them. A moment that they may not see is not there at all: what stands
 * before and after it follow each other, and nothing leads to it.
 */
export function seenMoments(page: Page, { open, reaches, show }: Reader): MomentsOnPage {
  const drawing = shownOn(page)
    .parts.filter(drawsMoments)
    .filter(({ id }) => reaches(page.id, id))
    .map((part) => ({
      part,
      kept: drawnMoments(open, page, part).filter(
        ({ page: of, moment }) => reaches(of, moment.id) && !isEmptyPart(moment),
      ),
    }));
  const there = new Map(
    drawing.flatMap(({ kept }) => kept.map(({ moment }) => [moment.id, moment] as const)),
  );
  const addressed = new Set<Id>();
  const materials: Id[] = [];
  const seen = ({ page: of, moment }: KeptMoment): SeenMoment => {
    const { id, date, phase, minutes } = moment;
    const ledTo = moment.ledTo === null ? undefined : there.get(moment.ledTo);
    return {
      ...{ id, page: of, date, phase, minutes, addressed: false, materials: [] },
      ...{ title: moment.title.trim(), happened: moment.happened.trim(), decided: moment.decided.trim() },
      ...{ why: moment.why.trim(), turnedDown: moment.turnedDown.trim(), next: moment.next.trim() },
      with: moment.with.trim(),
      ledTo: ledTo ? { id: ledTo.id, title: ledTo.title.trim(), date: ledTo.date } : null,
    };
  };
  const byPart = new Map<Id, SeenMoment[]>();
  for (const { part, kept } of drawing.filter((one) => one.part.kind === 'process'))
    byPart.set(
      part.id,
      kept.map((one) => {
        const isFirst = !addressed.has(one.moment.id);
        addressed.add(one.moment.id);
        const shown = one.moment.materials.filter(show);
        materials.push(...shown);
        return { ...seen(one), addressed: isFirst, materials: shown };
      }),
    );
  // A table of decisions shows no materials, and leads to where its moments stand.
  for (const { part, kept } of drawing.filter((one) => one.part.kind === 'decisions'))
    byPart.set(
      part.id,
      kept.map((one) => ({ ...seen(one), addressed: addressed.has(one.moment.id) })),
    );
  return { byPart, addressed, materials };
}
