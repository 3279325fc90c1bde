import type { Size } from './fixed-frame.ts';

/** How wide each place of a page gets on a wide window, in CSS pixels: its widest, as the themes lay it out. */
const widestPx = { opening: 1280, strip: 380, gallery: 380, text: 660, wide: 1160, full: 1280, window: 1280 };
export type Place = keyof typeof widestPx;

/** How far a picture may be enlarged before one sees it (our choice, the same as for what is called too small in Gather). */
const mostEnlarged = 1.5;

/** A picture that has too few pixels for where it is placed. */
export interface Coarse {
  /** How wide it is, and how wide it is shown on a wide window. */
  hasPx: number;
  shownPx: number;
}

/**
 * Whether a picture looks coarse in its place.
 *
 * @param size of the picture as shown, with its crop
 * @returns null where it has enough pixels
 */
export function coarseHere({ widthPx }: Size, place: Place): Coarse | null {
  const shownPx = widestPx[place];
  return widthPx * mostEnlarged < shownPx ? { hasPx: widthPx, shownPx } : null;
}

/** The same as a sentence. */
export const coarseInWords = ({ hasPx, shownPx }: Coarse): string =>
  `${hasPx} pixels wide and shown up to ${shownPx} wide, so it looks coarse here.`;
