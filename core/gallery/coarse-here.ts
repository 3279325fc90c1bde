import type { Size } from './fixed-frame.ts';
import { mostEnlarged } from './picture-quality.ts';
import { frames } from './row-shares.ts';

/** A window as most readers have it at least, in CSS pixels, and a third of a row in a gallery. */
const windowPx = 1280;
const inRowPx = Math.round(frames.wide.widthPx / 3);
/** How wide a picture gets in each place of a page on such a window; words are set about 660 wide. */
const widestPx = {
  ...{ opening: windowPx, full: windowPx, window: windowPx },
  ...{ wide: frames.wide.widthPx, text: 660, strip: inRowPx, gallery: inRowPx },
};
export type Place = keyof typeof widestPx;

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
