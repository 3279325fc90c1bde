import { isKnownPart, type Part, rulesOf } from '../parts/parts.ts';
import { type Height, lowest } from './height.ts';

/**
 * The height of a part by itself. What would let somebody under 18 be known, found or written to is for people holding a pass
 * at most, whatever height was chosen.
 */
export const partHeight = (part: Part, { underAge }: { underAge: boolean }): Height => {
  const most = underAge && isKnownPart(part) ? rulesOf(part).mostUnderAge?.(part) : undefined;
  return most ? lowest([part.height, most]) : part.height;
};
