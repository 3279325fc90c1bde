/** Side of the square that is compared, of a patch of it, and how far a patch is looked for, in pixels. */
export const patchSquarePx = 64;
const patch = 8;
const reach = 6;
/** A patch that varies less than this (standard deviation of bytes) is flat and is found everywhere. */
const flatBelow = 2.5;
/** Correlation from which a patch counts as found. */
const foundFrom = 0.8;
const count = patch * patch;

/** Share of the patches of `a` with something in them that are found in `b` near the same place. */
function foundIn(a: Uint8Array, b: Uint8Array): number {
  const side = patchSquarePx;
  const own = new Float64Array(count);
  let looked = 0;
  let found = 0;
  for (let top = 0; top < side; top += patch)
    for (let left = 0; left < side; left += patch) {
      let mean = 0;
      for (let y = 0; y < patch; y++)
        for (let x = 0; x < patch; x++) {
          const value = a[(top + y) * side + left + x] ?? 0;
          own[y * patch + x] = value;
          mean += value;
        }
      mean /= count;
      let variance = 0;
      for (let at = 0; at < count; at++) {
        own[at] = (own[at] ?? 0) - mean;
        variance += (own[at] ?? 0) ** 2;
      }
      if (variance / count < flatBelow ** 2) continue;
      looked++;
      if (isNear(own, variance, b, left, top)) found++;
    }
  return looked > 0 ? found / looked : 0;
}

/** Whether a patch, its mean taken off, is somewhere near a place: normalised cross-correlation. */
function isNear(own: Float64Array, variance: number, b: Uint8Array, left: number, top: number): boolean {
  const side = patchSquarePx;
  for (let y0 = Math.max(0, top - reach); y0 <= Math.min(side - patch, top + reach); y0++)
    for (let x0 = Math.max(0, left - reach); x0 <= Math.min(side - patch, left + reach); x0++) {
      let sum = 0;
      let squares = 0;
      let both = 0;
      for (let y = 0; y < patch; y++)
        for (let x = 0; x < patch; x++) {
          const value = b[(y0 + y) * side + x0 + x] ?? 0;
          sum += value;
          squares += value * value;
          both += (own[y * patch + x] ?? 0) * value;
        }
      const other = squares - (sum * sum) / count;
      if (other >= 1 && both > 0 && both * both > foundFrom * foundFrom * variance * other) return true;
    }
  return false;
}

/**
 * How much of two pictures is the same in detail, though moved a little or lit differently: the share of patches of one
 * that are found in the other, whichever way gives less. Two sheets of paper with different drawings share their edges
 * and not their lines; two photos of one thing from nearly the same place share nearly all.
 *
 * @param a 64 × 64 bytes of luminance
 * @param b the same of the other picture
 * @param enough when the one way already gives less than this, the other is not looked at and that is the answer
 * @returns 0 to 1
 */
export function sharedPatches(a: Uint8Array, b: Uint8Array, enough = 0): number {
  const oneWay = foundIn(a, b);
  return oneWay < enough ? oneWay : Math.min(oneWay, foundIn(b, a));
}
