import type { Region } from '../materials/fixes.ts';
import { regionAround } from './region-around.ts';

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

/** From here on it is asked about: where the detector itself says that something is a face. */
const leastSure = 0.5;
/** Nobody is known by a face of a smaller size, and what looks like one is for the most part none; see `docs/personal-data.md`. */
const smallest = 0.03;
/** A detector's box ends at chin and hairline; so much of it is added on each side. */
const air = 0.12;

/** Where faces may be seen in a picture: whose they are, nothing here asks. */
export const facesIn = (seen: readonly SeenFace[]): Region[] =>
  seen
    .filter(({ sure, size }) => sure >= leastSure && size >= smallest)
    .map((face) => regionAround(face, face.width * air, face.height * air));
