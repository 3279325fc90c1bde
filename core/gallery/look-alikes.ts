import { nearHashes } from './perceptual-hash.ts';
import { sharedPatches } from './shared-patches.ts';

/** What a picture is compared by. */
export interface Comparable {
  id: string;
  /** See `perceptualHash`. */
  hash: string;
  shape: readonly number[];
  /** 64 × 64 bytes of luminance. */
  square: Uint8Array;
}

/**
 * Shapes nearer than this may be the same picture; the limit leaves out nearly all that are not. Both limits were set
 * on the demo's planted pictures and on variants of real photographs (docs/look-alikes.md).
 */
const shapesWithin = 0.5;
/** Bits of the hash that may differ; two pictures of different things differ in about half of the 64. */
const bitsWithin = 22;
/** Share of patches in common from which two pictures are told to be alike. */
const patchesFrom = 0.65;

function distance(a: readonly number[], b: readonly number[]): number {
  let squares = 0;
  for (let at = 0; at < a.length; at++) squares += ((a[at] ?? 0) - (b[at] ?? 0)) ** 2;
  return Math.sqrt(squares);
}

/**
 * Groups of pictures that show the same thing in the same way: taken twice, cropped, lit or scaled differently.
 *
 * @param pictures in the order they should have in a group
 * @returns groups of two or more, by id; a picture is in one group at most
 */
export function lookAlikes(pictures: readonly Comparable[]): string[][] {
  const leader = pictures.map((_, at) => at);
  const find = (at: number): number => {
    let top = at;
    while (leader[top] !== top) top = leader[top] ?? top;
    leader[at] = top;
    return top;
  };
  for (const [a, b] of nearHashes(
    pictures.map(({ hash }) => hash),
    bitsWithin,
  )) {
    const [one, other] = [pictures[a], pictures[b]];
    // What is in one group already needs no comparing: it can only say the same again.
    if (!one || !other || find(a) === find(b)) continue;
    if (distance(one.shape, other.shape) >= shapesWithin) continue;
    if (sharedPatches(one.square, other.square, patchesFrom) >= patchesFrom) {
      const [first, second] = [find(a), find(b)].sort((x, y) => x - y);
      leader[second ?? b] = first ?? a;
    }
  }
  const groups = new Map<number, string[]>();
  pictures.forEach(({ id }, at) => {
    const top = find(at);
    groups.set(top, [...(groups.get(top) ?? []), id]);
  });
  return [...groups.values()].filter((group) => group.length > 1);
}
