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

const ones = Array.from({ length: 16 }, (_, digit) => digit.toString(2).replace(/0/g, '').length);

/** In how many of their 64 bits two hashes differ. */
export function hashDistance(a: string, b: string): number {
  let bits = 0;
  for (let at = 0; at < a.length; at++)
    bits += ones[parseInt(a[at] ?? '0', 16) ^ parseInt(b[at] ?? '0', 16)] ?? 0;
  return bits;
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
