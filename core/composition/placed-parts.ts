import type { Id } from '../id.ts';
import { quarterShare, type quarterShares, standingBeside } from '../parts/beside.ts';
import { isKnownPart, type PartKind, rulesOf, type SeenPart } from '../parts/parts.ts';
import { type Space, spaceBetween, type Spaced } from './space-between.ts';
import { spaced, spacedPair } from './spaced.ts';

/** A part, or two of them beside each other, and how far below the one above. */
export interface PlacedPart {
  /** Its place among all parts. */
  at: number;
  part: SeenPart;
  beside: { part: SeenPart; share: (typeof quarterShares)[number] } | null;
  /** Of facts about the maker, or of what makes up a résumé, that follow each other, the others; they are drawn together. */
  more: { at: number; part: SeenPart }[];
  space: Space;
}

/** What a part is drawn together with, where such follow each other: facts about the maker, or what makes up a résumé. */
export function drawnWith(part: { kind: PartKind }): 'facts' | 'resume' | null {
  const of = isKnownPart(part) ? rulesOf(part).tiedIn : undefined;
  return of === 'facts' || of === 'resume' ? of : null;
}

/**
 * The parts of a page as they stand on it.
 *
 * @param isCaptioned whether words stand below a picture
 */
export function placedParts(parts: readonly SeenPart[], isCaptioned: (picture: Id) => boolean): PlacedPart[] {
  // What is drawn together stands beside nothing.
  const shares = standingBeside(
    parts.map((part, at) => {
      const above = parts[at - 1];
      return drawnWith(part) || (above && drawnWith(above)) ? { id: part.id } : part;
    }),
  );
  const placed: PlacedPart[] = [];
  let above: Spaced | null = null;
  for (const [at, part] of parts.entries()) {
    // The second of two stands with the first.
    if (typeof shares[at] === 'number') continue;
    const last = placed.at(-1);
    const together = drawnWith(part);
    if (last && together && drawnWith(last.part) === together && last.at + last.more.length === at - 1) {
      last.more.push({ at, part });
      continue;
    }
    const [second, share] = [parts[at + 1], shares[at + 1]];
    const beside = second && typeof share === 'number' ? { part: second, share: quarterShare(share) } : null;
    const standing: Spaced = beside ? spacedPair : spaced(part, isCaptioned);
    placed.push({ at, part, beside, more: [], space: spaceBetween(above, standing) });
    above = standing;
  }
  return placed;
}
