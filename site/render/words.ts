import { createContext, useContext } from 'react';
import { directionOf } from '#core/language/language.ts';
import { en } from '#core/public-words/en.ts';
import type { PublicWords } from '#core/public-words/public-words.ts';
import { hasWords, wordsFor } from '#core/public-words/words-for.ts';

interface Spoken {
  words: PublicWords;
  /** On an element that holds only such words: names their language where what stands around it has another one. */
  lang: { lang?: string };
  /** On an element that stands in a page of another language. */
  frame: { lang?: string; dir?: 'ltr' | 'rtl' };
}

/**
 * What a page, or the frame around it, says of itself in a language.
 *
 * @param around what it stands in is written in
 */
export function spokenIn(language: string, around = language): Spoken {
  const words = wordsFor(language);
  return {
    words,
    lang: hasWords(language) ? {} : { lang: words.language },
    frame: language === around ? {} : { lang: language, dir: directionOf(language) },
  };
}

/** What the words of the page itself are written in. */
export const LanguageContext = createContext('en');

export const SpokenContext = createContext<Spoken>({ words: en, lang: {}, frame: {} });
/** The words that this page has of its own, in its language. */
export const useSpoken = (): Spoken => useContext(SpokenContext);
