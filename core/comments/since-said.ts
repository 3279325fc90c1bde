import type { Id } from '../id.ts';
import { type Page, shownOn } from '../pages/page.ts';
import type { Part } from '../parts/parts.ts';
import { textsIn } from '../parts/texts-in.ts';
import { squeezed, standsIn } from './quote.ts';

/** Parts whose words stand on a page as they are typed, one after the other: of others it cannot be told what was quoted from them. */
const asTyped: ReadonlySet<Part['kind']> = new Set(['words', 'quote', 'reflection']);

/**
 * What became of what a comment speaks of, in the draft.
 *
 * @param pages of the site, wherever the part stands now
 * @returns `gone`: its part or moment stands there no more; `changed`: the words it quotes do not; null where all is as it was, or it
 *   cannot be told
 */
export function sinceSaid(
  pages: readonly Page[],
  { part, quote }: { part: Id | null; quote: string },
): 'gone' | 'changed' | null {
  if (part === null) return null;
  const place = pages.flatMap((page): readonly Part[] => shownOn(page).parts).find(({ id }) => id === part);
  if (!place) return 'gone';
  if (quote === '' || !asTyped.has(place.kind)) return null;
  return standsIn(quote, squeezed(textsIn(place).join(' '))) ? null : 'changed';
}
