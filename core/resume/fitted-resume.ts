import type { Id } from '../id.ts';
import type { Month } from '../pages/case-facts.ts';
import type { BreakLosses } from './fit-content.ts';
import { fitLines } from './fit-lines.ts';
import { fitResume, type Tightness, tightest } from './fit-resume.ts';
import type { PaperName } from './layout/paper.ts';
import { type PlacedPage, placeResume } from './layout/place-resume.ts';
import type { ResumeContent } from './layout/resume-content.ts';
import { roomOn, setResume, type SetResume } from './layout/set-resume.ts';
import type { SetRun, WidthOf } from './layout/set-runs.ts';
import { type LeaveOutReason, lineLosses } from './line-losses.ts';

/** What is lost by where a page ends, beside what a line is worth. */
export const breakLosses: BreakLosses = { split: 3, orphan: 4 };

/** A résumé on its pages, ready to be drawn. */
export interface FittedPages {
  set: SetResume;
  pages: PlacedPage[];
  tightness: Tightness;
  /** It is on as many pages as were wanted, or fewer. */
  fits: boolean;
  /** What could stay out for it to fit, least loss first, with why; empty where it fits, null where even that would not do. */
  couldStayOut: { id: Id; reasons: LeaveOutReason[] }[] | null;
}

/** What there is to know of a version besides its content. */
export interface Wanted {
  pages: number;
  paper: PaperName;
  wants: string;
  ends: ReadonlyMap<Id, Month | 'now' | null>;
  now: Month;
}

/** Pages that nothing needs more of. */
const mostPages = 12;

/**
 * Sets a résumé on as many pages as are wanted, as comfortably as they hold it. Where they do not, everything stands at the tightest
 * on as many as it takes, and what could stay out is told: nothing is left out here.
 */
export function fittedResume(content: ResumeContent, wanted: Wanted, widthOf: WidthOf): FittedPages {
  const { pages, paper, wants, ends, now } = wanted;
  const weighed = lineLosses(content, ends, wants, now);
  const known = new Map<Tightness, SetResume>();
  const broken = new Map<string, SetRun[][]>();
  const setAt = (tightness: Tightness): SetResume => {
    const set = known.get(tightness) ?? setResume(content, paper, tightness, widthOf, weighed, broken);
    known.set(tightness, set);
    return set;
  };
  const best = fitResume((tightness) => setAt(tightness).sections, roomOn(paper, pages), breakLosses);
  if (best?.whole) {
    const set = setAt(best.tightness);
    return {
      set,
      pages: placeResume(set, best.fitted),
      tightness: best.tightness,
      fits: true,
      couldStayOut: [],
    };
  }
  const set = setAt(tightest);
  const must = set.sections.map((section) => ({
    ...section,
    entries: section.entries.map((entry) => ({
      ...entry,
      loss: null,
      lines: entry.lines.map((line) => ({ ...line, loss: null })),
    })),
  }));
  let all = null;
  for (let count = pages + 1; !all && count <= mostPages; count++)
    all = fitLines(must, roomOn(paper, count), breakLosses);
  const lossOf = (id: Id) => weighed.lines.get(id) ?? weighed.entries.get(id) ?? 0;
  return {
    ...{ set, tightness: tightest, fits: false },
    pages: all ? placeResume(set, all) : [],
    couldStayOut:
      best &&
      [...best.fitted.out]
        .sort((a, b) => lossOf(a) - lossOf(b))
        .map((id) => ({ id, reasons: weighed.reasons.get(id) ?? [] })),
  };
}
