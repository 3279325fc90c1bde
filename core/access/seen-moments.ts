import type { Id } from '../id.ts';
import { drawnMoments, type KeptMoment } from '../moments/drawn-moments.ts';
import type { SeenMoment } from '../moments/seen-moment.ts';
import { type Page, shownOn } from '../pages/page.ts';
import { isEmptyPart } from '../parts/is-empty-part.ts';
import type { PartOf } from '../parts/parts.ts';

/** What each process part of a page draws for a reader, by the part's id. */
export type MomentsOnPage = ReadonlyMap<Id, SeenMoment[]>;

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
 * before and after it follow each other.
 */
export function seenMoments(page: Page, { open, reaches, show }: Reader): MomentsOnPage {
  const addressed = new Set<Id>();
  const seen = ({ page: of, moment }: KeptMoment): SeenMoment => {
    const { id, date, phase, minutes, materials } = moment;
    const isFirst = !addressed.has(id);
    addressed.add(id);
    return {
      ...{ id, page: of, date, phase, minutes, addressed: isFirst },
      ...{ title: moment.title.trim(), happened: moment.happened.trim(), decided: moment.decided.trim() },
      ...{ why: moment.why.trim(), turnedDown: moment.turnedDown.trim(), next: moment.next.trim() },
      ...{ with: moment.with.trim(), materials: materials.filter(show) },
    };
  };
  return new Map(
    shownOn(page)
      .parts.filter((part): part is PartOf<'process'> => part.kind === 'process' && reaches(page.id, part.id))
      .map((part) => [
        part.id,
        drawnMoments(open, page, part)
          .filter(({ page: of, moment }) => reaches(of, moment.id) && !isEmptyPart(moment))
          .map(seen),
      ]),
  );
}
