import type { Id } from '../id.ts';
import { isKnownPart, type Part, rulesOf } from './parts.ts';

/** The part without the given material; used when a material is deleted or closed. */
export const withoutMaterial = (part: Part, material: Id): Part =>
  isKnownPart(part) ? rulesOf(part).without(part, material) : part;
