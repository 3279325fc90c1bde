import type { SeenContext } from './part-rules.ts';
import { isKnownPart, type Part, rulesOf, type SeenPart } from './parts.ts';

/**
 * A part as a reader gets it; null for one that has nothing for them, and for a kind that nobody knows.
 *
 * @param context what it is told that stands outside of it
 */
export function seenPart(part: Part, context: SeenContext): SeenPart | null {
  if (!isKnownPart(part)) return null;
  const seen = rulesOf(part).seen(part, context);
  const { id, kind, beside, ground } = part;
  return seen && ({ id, ...(beside && { beside }), ...(ground && { ground }), kind, ...seen } as SeenPart);
}
