/** A container in which rows of pictures are laid out. All lengths in CSS pixels. */
export interface RowFrame {
  widthPx: number;
  gapPx: number;
  /** The height rows should come close to. */
  targetPx: number;
  /** No row is ever taller; a row that would be stays short of the full width instead. */
  mostPx: number;
}

export interface Row {
  /** Index of the first picture and of the one after the last. */
  from: number;
  to: number;
  /** Height at which the row's pictures, uncropped and side by side, fill its share of the width. */
  heightPx: number;
}

/** Ratios outside this range are laid out as if they were at its edge, so a strip or a column stays usable. */
export const ratioRange = { least: 0.35, most: 4 } as const;

/**
 * How far a row's height is from the target: the squared logarithm of their ratio, so that twice and half the
 * target count alike. A row held at `mostPx` also pays for the width it leaves empty, in the same measure.
 */
function costOf(naturalPx: number, frame: RowFrame): number {
  const off = Math.log(Math.min(naturalPx, frame.mostPx) / frame.targetPx);
  const empty = Math.max(0, Math.log(naturalPx / frame.mostPx));
  return off * off + empty * empty;
}

/**
 * Breaks pictures into rows in their own order: every row exactly fills the width, nothing is cropped, and the
 * rows' heights differ from the target as little as possible over the whole gallery (least total of `costOf`,
 * found by dynamic programming over the place of the last break; common practice for breaking paragraphs).
 *
 * @param ratios width divided by height of each picture, all greater than 0
 * @returns rows from the top; empty for no pictures
 * @throws RangeError when a ratio is not a positive finite number
 */
export function breakIntoRows(ratios: readonly number[], frame: RowFrame): Row[] {
  for (const ratio of ratios)
    if (!(ratio > 0) || !Number.isFinite(ratio)) throw new RangeError(`Not a picture's ratio: ${ratio}`);
  const best: { cost: number; row: Row | null }[] = [{ cost: 0, row: null }];
  for (let to = 1; to <= ratios.length; to++) {
    let choice: { cost: number; row: Row | null } = { cost: Infinity, row: null };
    let sum = 0;
    for (let from = to - 1; from >= 0; from--) {
      sum += ratios[from] ?? 1;
      const room = frame.widthPx - frame.gapPx * (to - from - 1);
      if (room <= 0) break;
      const natural = room / sum;
      const cost = (best[from]?.cost ?? Infinity) + costOf(natural, frame);
      if (cost < choice.cost) choice = { cost, row: { from, to, heightPx: Math.min(natural, frame.mostPx) } };
      // Longer rows only get lower from here on; far below the target they cannot win any more.
      if (natural < frame.targetPx / 6 && choice.row) break;
    }
    best.push(choice);
  }
  const rows: Row[] = [];
  for (let at = ratios.length; at > 0;) {
    const row = best[at]?.row;
    if (!row) break;
    rows.unshift(row);
    at = row.from;
  }
  return rows;
}

/** Total cost of a way of breaking, for comparing two of them. */
export function costOfRows(ratios: readonly number[], rows: readonly Row[], frame: RowFrame): number {
  return rows.reduce((total, row) => {
    const sum = ratios.slice(row.from, row.to).reduce((a, b) => a + b, 0);
    return total + costOf((frame.widthPx - frame.gapPx * (row.to - row.from - 1)) / sum, frame);
  }, 0);
}
