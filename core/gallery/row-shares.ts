import { breakIntoRows, ratioRange, type Row, type RowFrame } from './rows.ts';

/** The three container widths for which row breaks are computed when a page is rendered. */
export const frames = {
  wide: { widthPx: 1160, gapPx: 16, targetPx: 330, mostPx: 620 },
  medium: { widthPx: 760, gapPx: 14, targetPx: 280, mostPx: 560 },
  narrow: { widthPx: 350, gapPx: 12, targetPx: 230, mostPx: 480 },
} as const satisfies Record<string, RowFrame>;
export type FrameName = keyof typeof frames;

/**
 * What one picture takes of its row: a share of the width left after so many gaps. Where a row does not fill the container, the gaps are no
 * whole number.
 */
export interface Share {
  share: number;
  gaps: number;
}

export interface PlacedPicture {
  /** Width divided by height as laid out, within `ratioRange`. */
  ratio: number;
  shares: Record<FrameName, Share>;
}

/** Rounded down, so that the shares of one row can never add up to more than the row. */
const floor5 = (value: number): number => Math.floor(value * 1e5) / 1e5;

/**
 * How many of the four quarters of the container a row fills: all of them, or, where it would be too high then, as many as leave
 * it low enough. So what is not as wide as the page still ends on one of its lines.
 */
function quartersFor(sum: number, count: number, { heightPx }: Row, { widthPx, gapPx }: RowFrame): number {
  const heightOf = (quarters: number) => ((quarters / 4) * (widthPx + gapPx) - gapPx * count) / sum;
  let quarters = 4;
  while (quarters > 1 && heightOf(quarters) > heightPx + 0.5) quarters--;
  return quarters;
}

/**
 * Places pictures in rows for a wide, a medium and a narrow container at once; one list of pictures in the page
 * serves all three.
 *
 * @param ratios width divided by height of each picture
 */
export function rowShares(
  ratios: readonly number[],
  inFrames: Record<FrameName, RowFrame> = frames,
): PlacedPicture[] {
  const kept = ratios.map((ratio) => Math.min(ratioRange.most, Math.max(ratioRange.least, ratio)));
  const placed = kept.map((ratio): PlacedPicture => ({
    ratio: Math.round(ratio * 1e4) / 1e4,
    shares: { wide: { share: 1, gaps: 0 }, medium: { share: 1, gaps: 0 }, narrow: { share: 1, gaps: 0 } },
  }));
  for (const name of Object.keys(inFrames) as FrameName[]) {
    const frame = inFrames[name];
    for (const row of breakIntoRows(kept, frame)) {
      const count = row.to - row.from;
      const sum = kept.slice(row.from, row.to).reduce((a, b) => a + b, 0);
      const quarters = quartersFor(sum, count, row, frame);
      // Of k quarters, with the gaps between them: k/4 (width + gap) - gap; without those between the pictures.
      const gaps = (count * 4) / quarters - 1;
      for (let at = row.from; at < row.to; at++) {
        const picture = placed[at];
        if (picture) picture.shares[name] = { share: floor5((quarters / 4) * (picture.ratio / sum)), gaps };
      }
    }
  }
  return placed;
}
