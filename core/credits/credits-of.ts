import { creditLine, creditOf, type CreditPiece } from './credit.ts';
import type { Id } from '../id.ts';
import { wordsFor } from '../public-words/words-for.ts';
import type { Material } from '../materials/material.ts';

/**
 * The credits of some materials, in their order: one for each work that is not its maker's alone, and equal ones once.
 *
 * @param shown ids of materials, as they stand on a page
 * @param language of the page
 */
export function creditsOf(
  shown: Iterable<Id>,
  materials: ReadonlyMap<Id, Material>,
  language = 'en',
): CreditPiece[][] {
  const credits = new Map<string, CreditPiece[]>();
  for (const id of shown) {
    const material = materials.get(id);
    if (!material || material.kind === 'note') continue;
    const pieces = creditOf(material.provenance, material.title, wordsFor(language));
    if (pieces.length > 0) credits.set(creditLine(pieces), pieces);
  }
  return [...credits.values()];
}
