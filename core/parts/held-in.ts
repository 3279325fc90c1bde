import type { Held } from './part-rules.ts';
import { isKnownPart, type Part, rulesOf } from './parts.ts';

/** Things inside a part that have heights of their own. */
export const heldIn = (part: Part): readonly Held[] =>
  (isKnownPart(part) && rulesOf(part).held?.of(part)) || [];

/** The part with each thing inside it that has a height of its own changed or, for null, left out. */
export const withHeld = (part: Part, change: <H extends Held>(held: H) => H | null): Part =>
  (isKnownPart(part) && rulesOf(part).held?.map(part, change)) || part;
