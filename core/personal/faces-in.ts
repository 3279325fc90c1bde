import type { Region } from '../materials/fixes.ts';

/** A face as a detector saw it, with its place as shares of the picture. */
export interface SeenFace extends Region {
  /** From 0 to 1. */
  sure: number;
  /** Of its box the longer side, as a share of the picture's longer side. */
  size: number;
}

/** What is less sure than this is not even kept. */
export const leastKept = 0.2;
/** Of a crowd so many are kept, the surest ones. */
export const mostFaces = 100;

/** From here on it is asked about; set on one half of the pictures in `docs/personal-data.md` and reported on the other. */
const leastSure = 0.5;
/** Nobody is known by a face of a smaller size, and what looks like one is for the most part none. */
const smallest = 0.03;
/** A detector's box ends at chin and hairline; so much of it is added on each side. */
const air = 0.12;

const share = (value: number): number => Math.min(1, Math.max(0, value));

/** Where faces may be seen in a picture: whose they are, nothing here asks. */
export const facesIn = (seen: readonly SeenFace[]): Region[] =>
  seen
    .filter(({ sure, size }) => sure >= leastSure && size >= smallest)
    .map(({ x, y, width, height }) => {
      const left = share(x - width * air);
      const top = share(y - height * air);
      return {
        ...{ x: left, y: top },
        width: share(x + width * (1 + air)) - left,
        height: share(y + height * (1 + air)) - top,
      };
    });
