interface Shape {
  widthPx: number;
  heightPx: number;
}

/**
 * Whether two pictures of one thing can lie over each other: their shapes are near enough. Neither is cut; what the second one leaves
 * free of the first one's frame is filled with its own tone, and more than about a fifth of it would be a hole.
 */
export const liesOver = (one: Shape, other: Shape): boolean =>
  Math.abs(Math.log((one.widthPx * other.heightPx) / (one.heightPx * other.widthPx))) < 0.25;
