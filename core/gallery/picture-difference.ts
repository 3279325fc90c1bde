import type { PictureFeatures } from './picture-features.ts';

/** The features two pictures are told to differ by. */
export type Look = Pick<PictureFeatures, 'shape' | 'colours'>;

/** Root mean square distance of the colours of a 4 × 4 grid, as a share of the greatest there can be. */
export function colourDifference(a: Look, b: Look): number {
  let squares = 0;
  for (let at = 0; at < a.colours.length; at++) squares += ((a.colours[at] ?? 0) - (b.colours[at] ?? 0)) ** 2;
  return Math.sqrt(squares / Math.max(1, a.colours.length)) / 255;
}

/** Distance of the directions of their light, which are unit vectors, as a share of the greatest there can be. */
export function viewDifference(a: Look, b: Look): number {
  let squares = 0;
  for (let at = 0; at < a.shape.length; at++) squares += ((a.shape[at] ?? 0) - (b.shape[at] ?? 0)) ** 2;
  return Math.min(1, Math.sqrt(squares) / 2);
}

/**
 * How different two pictures look, 0 for the same to 1: half by how light and dark lie in them, half by their colours.
 * Both halves obey the triangle inequality, so their sum does.
 */
export const pictureDifference = (a: Look, b: Look): number =>
  (viewDifference(a, b) + colourDifference(a, b)) / 2;
