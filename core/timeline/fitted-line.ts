import type { Id } from '../id.ts';
import { inTime, type LineItem } from './line-item.ts';
import { type LineLayout, lineLayout } from './line-layout.ts';
import { foldPx, lineScale } from './line-scale.ts';

export interface FittedOptions {
  spacing: 'true' | 'even';
  /** How wide the line is, from its first knot to where the label of its last one ends. */
  widthPx: number;
  rows: number;
  labelPx: (id: Id) => number;
}

/** Folds of a line take no more than this of its width: what was between them is what there is to see. */
const mostFolded = 0.4;

/**
 * A line that has exactly so much room, as on a page that does not scroll sideways. Days are as wide as they can be, and all equally
 * wide.
 */
export function fittedLine(items: readonly LineItem[], options: FittedOptions): LineLayout {
  const { spacing, widthPx, rows, labelPx } = options;
  const sorted = [...items].sort(inTime);
  // Labels stand to the right of their knots, the last one too.
  const last = sorted.at(-1);
  const room = Math.max(1, widthPx - (last ? labelPx(last.id) : 0));
  const withinWidth = (laid: LineLayout): LineLayout => ({
    ...laid,
    labels: laid.labels.filter(({ x, width }) => x + width <= widthPx),
  });
  const open = new Set<number>();
  if (spacing === 'even')
    return withinWidth(
      lineLayout(sorted, {
        ...{ spacing, open, rows, labelPx, px: sorted.length > 1 ? room / (sorted.length - 1) : 0 },
      }),
    );
  const { folds } = lineScale(sorted, 1, open);
  const foldedPx = Math.min(foldPx, (room * mostFolded) / Math.max(1, folds.length));
  const widthAt = (px: number) => lineScale(sorted, px, open, foldedPx).width;
  // The width grows with that of a day, and one day is never wider than all the room.
  let [low, high] = [0, room];
  for (let n = 0; n < 40; n++) {
    const middle = (low + high) / 2;
    if (widthAt(middle) > room) high = middle;
    else low = middle;
  }
  return withinWidth(lineLayout(sorted, { spacing, px: low, open, foldedPx, rows, labelPx }));
}
