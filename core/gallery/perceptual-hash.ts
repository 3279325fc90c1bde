/** Side of the little square of luminance a hash is made from. */
export const hashSidePx = 32;
const low = 9;

const cosines = Array.from({ length: low }, (_, k) =>
  Float64Array.from({ length: hashSidePx }, (__, n) =>
    Math.cos((Math.PI * k * (2 * n + 1)) / (2 * hashSidePx)),
  ),
);

/**
 * The lowest 9 × 9 terms of the two-dimensional discrete cosine transform (DCT-II, not scaled) of a 32 × 32 square, rows
 * of vertical frequency first. Done one way and then the other, which is what makes it quick.
 */
export function lowFrequencies(square: Uint8Array): Float64Array {
  const acrossRows = new Float64Array(hashSidePx * low);
  for (let y = 0; y < hashSidePx; y++)
    for (let v = 0; v < low; v++) {
      const wave = cosines[v] ?? new Float64Array();
      let term = 0;
      for (let x = 0; x < hashSidePx; x++) term += (square[y * hashSidePx + x] ?? 0) * (wave[x] ?? 0);
      acrossRows[y * low + v] = term;
    }
  const out = new Float64Array(low * low);
  for (let u = 0; u < low; u++) {
    const wave = cosines[u] ?? new Float64Array();
    for (let v = 0; v < low; v++) {
      let term = 0;
      for (let y = 0; y < hashSidePx; y++) term += (acrossRows[y * low + v] ?? 0) * (wave[y] ?? 0);
      out[u * low + v] = term;
    }
  }
  return out;
}

/**
 * 64 bits that stay nearly the same when a picture is scaled, compressed or brightened: which of the 8 × 8 frequencies
 * above the constant ones are stronger than their mean.
 *
 * @param square 32 × 32 bytes of luminance
 * @returns 16 hex digits
 */
export function perceptualHash(square: Uint8Array): string {
  const terms = lowFrequencies(square);
  const used: number[] = [];
  for (let u = 1; u < low; u++) for (let v = 1; v < low; v++) used.push(terms[u * low + v] ?? 0);
  const mean = used.reduce((a, b) => a + b, 0) / used.length;
  let hash = '';
  for (let at = 0; at < 64; at += 4)
    hash += [0, 1, 2, 3]
      .reduce((digit, bit) => digit * 2 + ((used[at + bit] ?? 0) > mean ? 1 : 0), 0)
      .toString(16);
  return hash;
}

/** How many bits of a 32-bit number are set (Hacker's Delight, figure 5-2; from memory). */
function ones(value: number): number {
  let bits = value - ((value >>> 1) & 0x55555555);
  bits = (bits & 0x33333333) + ((bits >>> 2) & 0x33333333);
  return Math.imul((bits + (bits >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

/**
 * Pairs of hashes that differ in at most so many of their 64 bits, as places in the list, the earlier first. Each is
 * compared with each, which is quadratic, but a comparison is a handful of machine instructions: a search tree over the
 * shapes was tried and took three times as long at 5,000 pictures, because in so many dimensions nearly everything is
 * about equally far from everything.
 */
export function nearHashes(hashes: readonly string[], bitsWithin: number): [number, number][] {
  const high = Int32Array.from(hashes, (hash) => Number.parseInt(hash.slice(0, 8), 16) | 0);
  const low = Int32Array.from(hashes, (hash) => Number.parseInt(hash.slice(8), 16) | 0);
  const near: [number, number][] = [];
  for (let a = 0; a < hashes.length; a++)
    for (let b = a + 1; b < hashes.length; b++) {
      const apart = ones((high[a] ?? 0) ^ (high[b] ?? 0)) + ones((low[a] ?? 0) ^ (low[b] ?? 0));
      if (apart <= bitsWithin) near.push([a, b]);
    }
  return near;
}

/** In how many of their 64 bits two hashes differ. */
export function hashDistance(a: string, b: string): number {
  const half = (from: number, to: number) =>
    ones(Number.parseInt(a.slice(from, to), 16) ^ Number.parseInt(b.slice(from, to), 16));
  return half(0, 8) + half(8, 16);
}

/**
 * The shape of light and dark in a picture as a direction: its low frequencies without the mean, at length 1. Two of them
 * are as far apart as the straight line between their ends, from 0 to 2.
 */
export function lightShape(square: Uint8Array): number[] {
  const terms = lowFrequencies(square);
  terms[0] = 0;
  const length = Math.hypot(...terms);
  return Array.from(terms, (term) => (length > 1 ? term / length : 0));
}
