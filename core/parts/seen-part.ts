import type { CreditPiece } from '../credits/credit.ts';
import { isKnownPart, type Part, rulesOf, type SeenPart } from './parts.ts';

/**
 * A part as a reader gets it; null for one that has nothing for them, and for a kind that nobody knows.
 *
 * @param credits whom the page has to name
 */
export function seenPart(part: Part, credits: CreditPiece[][]): SeenPart | null {
  if (!isKnownPart(part)) return null;
  const seen = rulesOf(part).seen(part, { credits });
  const { id, kind, beside, ground } = part;
  return seen && ({ id, ...(beside && { beside }), ...(ground && { ground }), kind, ...seen } as SeenPart);
}
