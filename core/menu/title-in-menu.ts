import { rulesOfPage } from '../pages/page-kinds.ts';
import { widthInLetters } from '../words/width-in-letters.ts';
import { wordsFor } from '../public-words/words-for.ts';

/** A longer title is a sentence: of a kind of which a site has one page, the kind says more in a menu. */
const longest = 24;

interface Named {
  kind: string;
  title: string;
}

/**
 * What a page is called where readers are led to it; null where it has no name and its kind has none either.
 *
 * @param language of the menu: a page without a title is called by its kind, and so is a page about the maker whose title is a
 *   sentence
 */
export function titleInMenu(page: Named, language: string): string | null {
  const { inMenu, isFront, isSingle } = rulesOfPage(page);
  const title = inMenu(page.title);
  const { kinds } = wordsFor(language);
  const own = Object.hasOwn(kinds, page.kind) ? kinds[page.kind as keyof typeof kinds] : title;
  if (title === null) return null;
  const unwieldy = isSingle && widthInLetters(title) > longest;
  return isFront || unwieldy || page.title.trim() === '' ? own : title;
}
