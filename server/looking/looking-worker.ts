import { lookAlikes } from '#core/gallery/look-alikes.ts';
import { patchSquarePx } from '#core/gallery/shared-patches.ts';
import type { Compared } from './looking.ts';
import { readFeatures } from './read-features.ts';

export { lookForPeople as people, lookInside as inside } from '../inside/look-inside.ts';

const squareBytes = patchSquarePx ** 2;

/** Groups of look-alikes; see `lookAlikes`. */
export const group = ({ ids, hashes, shapes, squares }: Compared): string[][] =>
  lookAlikes(
    ids.map((id, at) => ({
      id,
      hash: hashes[at] ?? '',
      shape: shapes[at] ?? [],
      square: squares.subarray(at * squareBytes, (at + 1) * squareBytes),
    })),
  );

/** What tells a picture from others; null where the bytes are no picture. */
export const features = (preview: Uint8Array) => readFeatures(Buffer.from(preview)).catch(() => null);
