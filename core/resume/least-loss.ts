import type { FitEntry, FitSection } from './fit-content.ts';

/** Something that may be left out piece by piece: how high it is, and what a unit of its height costs. */
interface Piece {
  height: number;
  each: number;
}

/**
 * What the entries from each one on lose at least where only so much room is left: as if they could be left out by the hair's breadth
 * and headings took no room (the linear relaxation of the knapsack, Dantzig 1957). Never more than what they do lose.
 *
 * @returns of the place of an entry among all, the room that is left and how many pages begin yet, the least loss; Infinity where
 *   what stays does not fit
 */
export function leastLosses(
  sections: readonly FitSection[],
): (from: number, room: number, tops: number) => number {
  const entries = sections.flatMap((section) =>
    section.entries.map((entry) => ({ entry, gap: Math.min(entry.gap, section.gap) })),
  );
  // Above what begins a page there is no distance.
  const widest = Math.max(0, ...entries.map(({ gap }) => gap));
  const suffixes = entries.map((_, from) => {
    const pieces = entries.slice(from).flatMap(({ entry, gap }) => piecesOf(entry, gap));
    const total = pieces.reduce((sum, { height }) => sum + height, 0);
    const cheap = pieces.filter(({ each }) => Number.isFinite(each)).sort((a, b) => a.each - b.each);
    const heights = [0];
    const costs = [0];
    for (const { height, each } of cheap) {
      heights.push((heights.at(-1) ?? 0) + height);
      costs.push((costs.at(-1) ?? 0) + height * each);
    }
    return { total, cheap, heights, costs };
  });
  return (from, room, tops) => {
    const suffix = suffixes[from];
    if (!suffix) return 0;
    const { total, cheap, heights, costs } = suffix;
    const over = total - room - tops * widest;
    if (over <= 0) return 0;
    let [low, high] = [0, cheap.length];
    if ((heights[high] ?? 0) < over) return Infinity;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((heights[middle] ?? 0) >= over) high = middle;
      else low = middle + 1;
    }
    const whole = low - 1;
    return (costs[whole] ?? 0) + (over - (heights[whole] ?? 0)) * (cheap[whole]?.each ?? 0);
  };
}

/** An entry in pieces, each at the price of the cheaper way to be rid of it: alone, or with the whole entry. */
function piecesOf({ head, lines, loss }: FitEntry, gap: number): Piece[] {
  const all = lines.reduce((sum, { height }) => sum + height, head + gap);
  const together = loss === null || all === 0 ? Infinity : loss / all;
  return [
    { height: head + gap, each: together },
    ...lines.map((line) => ({
      height: line.height,
      each: Math.min(together, line.loss === null || line.height === 0 ? Infinity : line.loss / line.height),
    })),
  ];
}
