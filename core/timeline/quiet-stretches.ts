import type { LineItem } from './line-item.ts';

/** A stretch of days in which nothing was, both included. */
export interface QuietStretch {
  /** Names it, whatever else is on the line: its first day. */
  key: number;
  first: number;
  last: number;
  days: number;
}

/** Shorter ones are not folded, in days. */
export const leastQuietDays = 14;
/** A date that is known only more roughly than to a month says nothing of when it was quiet, in days. */
const roughDays = 31;

/**
 * The quiet stretches between moments, in order. A moment known to its month keeps all of that month from being quiet; one known only to
 * its season or year keeps nothing from it, since it may have been in any of the days.
 */
export function quietStretches(items: readonly LineItem[]): QuietStretch[] {
  const known = items
    .filter(({ first, last }) => last - first < roughDays)
    .sort((a, b) => a.first - b.first || a.last - b.last);
  const found: QuietStretch[] = [];
  let until: number | null = null;
  for (const { first, last } of known) {
    if (until !== null && first - until - 1 >= leastQuietDays)
      found.push({ key: until + 1, first: until + 1, last: first - 1, days: first - until - 1 });
    until = until === null ? last : Math.max(until, last);
  }
  return found;
}
