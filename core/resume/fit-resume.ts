import type { BreakLosses, FitSection, Paper } from './fit-content.ts';
import { type FittedLines, fitLines } from './fit-lines.ts';

/** How tightly a résumé is set, each as a share of what is comfortable. */
export interface Tightness {
  /** Distances between entries and sections. */
  gaps: number;
  /** Distance of lines. */
  leading: number;
  /** Size of the text. */
  size: number;
}

/** As it comes. */
export const comfortable: Tightness = { gaps: 1, leading: 1, size: 1 };
/** No tighter: below it a page looks full and is hard to read (common practice: 9 of 10 points, solid lines at 1.15). */
export const tightest: Tightness = { gaps: 0.5, leading: 0.88, size: 0.9 };
const stepOf: Tightness = { gaps: 0.1, leading: 0.02, size: 0.02 };

/** From comfortable to tightest, in the order in which a page is tightened: first gaps, then lines, then text. */
export function tightnesses(): Tightness[] {
  const all = [comfortable];
  let now = comfortable;
  for (const what of ['gaps', 'leading', 'size'] as const) {
    const steps = Math.round((1 - tightest[what]) / stepOf[what]);
    for (let step = 1; step <= steps; step++) {
      now = { ...now, [what]: Math.round((1 - step * stepOf[what]) * 100) / 100 };
      all.push(now);
    }
  }
  return all;
}

export interface FittedResume {
  tightness: Tightness;
  fitted: FittedLines;
  /** Nothing stays out. */
  whole: boolean;
}

/** The same with nothing that may stay out. */
const whole = (sections: readonly FitSection[]): FitSection[] =>
  sections.map((section) => ({
    ...section,
    entries: section.entries.map((entry) => ({
      ...entry,
      loss: null,
      lines: entry.lines.map((line) => ({ ...line, loss: null })),
    })),
  }));

/**
 * Sets a résumé on as many pages as are wanted: as comfortably as it fits whole, and where it does not fit even at the tightest,
 * with a proposal of what to leave out, which is never done without its maker's yes.
 *
 * @param measure how high everything stands at a tightness; what is higher at one that is tighter is taken as it is
 * @returns null where what must stay does not fit at the tightest
 */
export function fitResume(
  measure: (tightness: Tightness) => readonly FitSection[],
  paper: Paper,
  breaks: BreakLosses,
): FittedResume | null {
  for (const tightness of tightnesses()) {
    const fitted = fitLines(whole(measure(tightness)), paper, breaks);
    if (fitted) return { tightness, fitted, whole: true };
  }
  const fitted = fitLines(measure(tightest), paper, breaks);
  return fitted && { tightness: tightest, fitted, whole: false };
}
