import type { LineItem } from './line-item.ts';
import { type QuietStretch, quietStretches } from './quiet-stretches.ts';

/** How wide a folded stretch is, in px. */
export const foldPx = 56;

/** A stretch of the line: days from `first` to `last`, from `x` on, `px` wide; folded where it is quiet and not opened. */
interface Stretch {
  first: number;
  last: number;
  x: number;
  px: number;
}

export interface Fold extends QuietStretch {
  x: number;
  px: number;
  /** It stands as wide as its days. */
  open: boolean;
}

export interface LineScale {
  /** Where a day begins, in px from the left; days before the first and behind the last stand at the ends. */
  xOf(day: number): number;
  width: number;
  folds: Fold[];
}

/**
 * True time: each day has one width everywhere, but for quiet stretches, which are folded to one width unless they are opened.
 *
 * @param pxPerDay how wide a day is
 * @param open keys of stretches that are opened
 * @param folded how wide a folded stretch is at most, in px
 */
export function lineScale(
  items: readonly LineItem[],
  pxPerDay: number,
  open: ReadonlySet<number>,
  folded = foldPx,
): LineScale {
  if (items.length === 0) return { xOf: () => 0, width: 0, folds: [] };
  const start = items.reduce((least, { first }) => Math.min(least, first), Infinity);
  const end = items.reduce((most, { last }) => Math.max(most, last), -Infinity);
  const stretches: Stretch[] = [];
  const folds: Fold[] = [];
  let [day, x] = [start, 0];
  const add = (last: number, px: number) => {
    if (last >= day) stretches.push({ first: day, last, x, px });
    [day, x] = [last + 1, x + (last >= day ? px : 0)];
  };
  for (const quiet of quietStretches(items)) {
    add(quiet.first - 1, (quiet.first - day) * pxPerDay);
    const whole = quiet.days * pxPerDay;
    // A fold is never wider than what it folds.
    const px = open.has(quiet.key) ? whole : Math.min(folded, whole);
    folds.push({ ...quiet, x, px, open: px === whole });
    add(quiet.last, px);
  }
  add(end, (end - day + 1) * pxPerDay);
  const xOf = (wanted: number): number => {
    if (wanted <= start) return 0;
    if (wanted > end) return x;
    let [low, high] = [0, stretches.length - 1];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((stretches[middle]?.last ?? 0) < wanted) low = middle + 1;
      else high = middle;
    }
    const at = stretches[low];
    return at ? at.x + (at.px * (wanted - at.first)) / (at.last - at.first + 1) : 0;
  };
  return { xOf, width: x, folds };
}
