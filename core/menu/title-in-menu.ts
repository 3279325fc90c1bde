import { rulesOfPage } from '../pages/page-kinds.ts';
import { wordsFor } from '../public-words/words-for.ts';

interface Named {
  kind: string;
  title: string;
}

/**
 * What a page is called where readers are led to it; null where it has no name and its kind has none either.
 *
 * @param language of the menu: a page without a title is called by its kind
 */
export function titleInMenu(page: Named, language: string): string | null {
  const { inMenu, isFront } = rulesOfPage(page);
  const title = inMenu(page.title);
  const { kinds } = wordsFor(language);
  const own = Object.hasOwn(kinds, page.kind) ? kinds[page.kind as keyof typeof kinds] : title;
  if (title === null) return null;
  return isFront || page.title.trim() === '' ? own : title;
}
