import { type Ground, sameGround } from '../parts/ground.ts';
import type { PlacedPart } from './placed-parts.ts';

/** Parts that follow each other and lie on one ground; null: on the page itself. */
export interface Run {
  ground: Ground | null;
  parts: PlacedPart[];
}

/** The parts of a page in runs, in order. Of two beside each other the first says what both lie on. */
export function runsOnGrounds(placed: readonly PlacedPart[]): Run[] {
  const runs: Run[] = [];
  for (const one of placed) {
    const ground = one.part.ground;
    const last = runs.at(-1);
    if (last && sameGround(last.ground ?? undefined, ground)) last.parts.push(one);
    else runs.push({ ground: ground ?? null, parts: [one] });
  }
  return runs;
}
