import type { Id } from '../id.ts';
import type { Material } from './material.ts';

/** What was worked out for a list, for as long as somebody has the list. Lists are never changed in place. */
const maps = new WeakMap<readonly Material[], ReadonlyMap<Id, Material>>();

/** Materials by their ids; worked out once for a list, however often it is asked for. */
export function materialsById(materials: readonly Material[]): ReadonlyMap<Id, Material> {
  let known = maps.get(materials);
  if (!known) {
    known = new Map(materials.map((one) => [one.id, one]));
    maps.set(materials, known);
  }
  return known;
}
