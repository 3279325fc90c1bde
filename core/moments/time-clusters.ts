/** Something with a time, in ms since 1970. */
export interface Timed {
  id: string;
  at: number;
}

/** Why one group ends and the next begins. */
export interface Break {
  /** Between the last of the one and the first of the other, in ms. */
  gapMs: number;
  /** `long`: longer than any stretch of work; `longer`: much longer than the gaps around it. */
  why: 'long' | 'longer';
}

export interface TimeCluster {
  ids: string[];
  from: number;
  to: number;
  /** What parts it from the one before it; null for the first. */
  after: Break | null;
}

/** What is taken within twenty minutes is one moment. */
export const togetherMs = 20 * 60 * 1000;
/** Over a night nobody works on without a break; see docs/found-moments.md for what a longer bound put together. */
export const apartMs = 18 * 60 * 60 * 1000;
/** A gap is much longer than those around it when it is so many times their geometric mean. */
export const timesLonger = 17;
/** So many gaps to each side are around one. */
export const gapsAround = 10;

/**
 * Groups things by the gaps between their times: a gap that is much longer than those around it parts two groups. The rule is that of
 * J. C. Platt, M. Czerwinski and B. A. Field, PhotoTOC: Automatic Clustering for Browsing Personal Photographs (2003), with its own
 * numbers (17 and 10; from memory): log gap ≥ log 17 + mean log gap of the ten to each side and itself. It adapts to how densely somebody
 * takes pictures and so says nothing of steady ones: gaps within `togetherMs` part nothing, those over `apartMs` always part.
 *
 * @param things in any order; of equal times the order of their ids counts, so that the same things give the same groups
 */
export function timeClusters(things: readonly Timed[]): TimeCluster[] {
  const sorted = [...things].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
  const gaps = sorted.slice(1).map(({ at }, n) => at - (sorted[n]?.at ?? at));
  // Of two at the same second it is not known how far apart they were; a second stands for that.
  const logs = gaps.map((gap) => Math.log(Math.max(gap, 1000)));
  // What all gaps before each add up to, so that the mean of any stretch is a difference of two.
  const sums = [0];
  for (const log of logs) sums.push((sums.at(-1) ?? 0) + log);
  const breakAt = (n: number): Break | null => {
    const gapMs = gaps[n] ?? 0;
    if (gapMs <= togetherMs) return null;
    if (gapMs > apartMs) return { gapMs, why: 'long' };
    const [from, to] = [Math.max(0, n - gapsAround), Math.min(logs.length, n + gapsAround + 1)];
    const mean = ((sums[to] ?? 0) - (sums[from] ?? 0)) / (to - from);
    return (logs[n] ?? 0) >= Math.log(timesLonger) + mean ? { gapMs, why: 'longer' } : null;
  };
  const clusters: TimeCluster[] = [];
  for (const [n, { id, at }] of sorted.entries()) {
    const last = clusters.at(-1);
    const after = n === 0 ? null : breakAt(n - 1);
    if (!last || after) clusters.push({ ids: [id], from: at, to: at, after });
    else {
      last.ids.push(id);
      last.to = at;
    }
  }
  return clusters;
}
