import { hasWords, wordsFor } from '../public-words/words-for.ts';
import type { Spoken } from '../parts/languages.ts';

/**
 * A language and how well it is spoken, as it is told in another: "German, B1". Names of languages come with the platform
 * (CLDR); where nobody has written words in a page's language, the level is told in English like all words of ours.
 */
export function languageInWords({ language, level }: Spoken, inLanguage: string): string {
  const names = new Intl.DisplayNames([hasWords(inLanguage) ? inLanguage : 'en'], { type: 'language' });
  const name = names.of(language) ?? language;
  return `${name.charAt(0).toLocaleUpperCase(inLanguage)}${name.slice(1)}, ${level === 'first' ? wordsFor(inLanguage).firstLanguage : level}`;
}
