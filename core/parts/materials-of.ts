import type { Id } from '../id.ts';
import { picturesOfGround } from './ground.ts';
import { isKnownPart, type Part, rulesOf, type SeenPart } from './parts.ts';

/** The materials a part shows, in reading order, and last those it lies on; of a part as its maker has it or as readers get it. */
export const materialsOf = (part: Part | SeenPart): Id[] =>
  isKnownPart(part) ? [...rulesOf(part).materials(part), ...picturesOfGround(part.ground)] : [];
