import { breakIntoRows, ratioRange, type RowFrame } from './rows.ts';

/** The three container widths for which row breaks are computed when a page is rendered. */
export const frames = {
  wide: { widthPx: 1160, gapPx: 16, targetPx: 330, mostPx: 620 },
  medium: { widthPx: 760, gapPx: 14, targetPx: 280, mostPx: 560 },
  narrow: { widthPx: 350, gapPx: 12, targetPx: 230, mostPx: 480 },
} as const satisfies Record<string, RowFrame>;
export type FrameName = keyof typeof frames;

/** What one picture takes of its row: a share of the width left after the gaps, and how many gaps there are. */
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
      const gaps = row.to - row.from - 1;
      const room = frame.widthPx - frame.gapPx * gaps;
      for (let at = row.from; at < row.to; at++) {
        const picture = placed[at];
        if (picture) picture.shares[name] = { share: floor5((picture.ratio * row.heightPx) / room), gaps };
      }
    }
  }
  return placed;
}
