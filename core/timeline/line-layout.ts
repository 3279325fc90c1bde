import type { Id } from '../id.ts';
import { inTime, type LineItem } from './line-item.ts';
import { type Fold, lineScale } from './line-scale.ts';

/** A moment on the line. */
export interface Knot {
  id: Id;
  /** Where its first day begins, in px. */
  x: number;
  /** Where its last day ends: a rough date is a piece of string, a day a knot. */
  to: number;
}

/** Several moments too close to each other to be told apart, drawn as one knot until they are opened. */
export interface Bundle {
  ids: Id[];
  x: number;
}

/** A label in one of the rows above the line, its left edge at its knot. */
export interface Label {
  id: Id;
  row: number;
  x: number;
  width: number;
}

export interface LineLayout {
  width: number;
  knots: Knot[];
  bundles: Bundle[];
  labels: Label[];
  folds: Fold[];
}

export interface LineOptions {
  /** True time, or the same distance from each moment to the next. */
  spacing: 'true' | 'even';
  /** How wide a day is; of even spacing how far apart two moments are. */
  px: number;
  /** Keys of quiet stretches that are opened. */
  open: ReadonlySet<number>;
  /** How wide a folded stretch is at most; `foldPx` if it is not said. */
  foldedPx?: number;
  /** Of labels that are drawn. */
  rows: number;
  /** How wide the label of a moment is. */
  labelPx: (id: Id) => number;
  /** This one has its label whatever stands before it. */
  labelled?: Id | null;
}

/** Closer than this two knots cannot be hit one by one (WCAG 2.2, 2.5.8: 24 CSS pixels). */
export const leastApartPx = 24;
/** Between two labels of a row. */
const labelGapPx = 10;

/** Knots that lie closer than can be told apart, from the left; each bundle reaches no further than that from its first. */
function bundlesOf(knots: readonly Knot[]): Bundle[] {
  const bundles: Bundle[] = [];
  for (const { id, x } of knots) {
    const last = bundles.at(-1);
    if (last && x - last.x < leastApartPx) last.ids.push(id);
    else bundles.push({ ids: [id], x });
  }
  return bundles;
}

/**
 * Labels from the left, each in the first row that is free where its knot is. A label that finds no room is left out rather than moved:
 * where it would stand then, it would say another time.
 */
function labelsOf(bundles: readonly Bundle[], { rows, labelPx, labelled }: LineOptions): Label[] {
  const ends = Array<number>(rows).fill(-Infinity);
  const kept = bundles.find(
    ({ ids }) => labelled !== null && labelled !== undefined && ids.includes(labelled),
  );
  return bundles.flatMap((bundle): Label[] => {
    const { ids, x } = bundle;
    const [id] = ids;
    if (id === undefined) return [];
    const width = labelPx(id);
    // The first row is left free for the one that has its label anyway.
    const isFree = (end: number, row: number) =>
      end + labelGapPx <= x && !(row === 0 && kept && x < kept.x && x + width + labelGapPx > kept.x);
    const row = bundle === kept ? 0 : ends.findIndex(isFree);
    if (row < 0) return [];
    ends[row] = x + width;
    return [{ id, row, x, width }];
  });
}

/**
 * Where moments, folds and labels lie on a line, in px from its left end. Moments are always in the order of time, folds stand between
 * those that they part, and no two labels of a row touch.
 */
export function lineLayout(items: readonly LineItem[], options: LineOptions): LineLayout {
  const sorted = [...items].sort(inTime);
  if (options.spacing === 'even') {
    const knots = sorted.map(({ id }, n) => ({ id, x: n * options.px, to: n * options.px }));
    const bundles = bundlesOf(knots);
    return {
      ...{ width: Math.max(0, knots.length - 1) * options.px, knots, bundles, folds: [] },
      labels: labelsOf(bundles, options),
    };
  }
  const { xOf, width, folds } = lineScale(sorted, options.px, options.open, options.foldedPx);
  const knots = sorted.map(({ id, first, last }) => ({ id, x: xOf(first), to: xOf(last + 1) }));
  const bundles = bundlesOf(knots);
  return { width, knots, bundles, labels: labelsOf(bundles, options), folds };
}
