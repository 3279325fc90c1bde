import type { Id } from '../id.ts';
import { groundWithout } from './ground.ts';
import { isKnownPart, type Part, rulesOf } from './parts.ts';

/** The part without the given material, neither in it nor below it; used when a material is deleted or closed. */
export function withoutMaterial(part: Part, material: Id): Part {
  if (!isKnownPart(part)) return part;
  const { ground, ...rest } = rulesOf(part).without(part, material);
  const left = groundWithout(ground, material);
  return { ...rest, ...(left && { ground: left }) } as Part;
}
