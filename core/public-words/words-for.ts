import { de } from './de.ts';
import { en } from './en.ts';
import { es } from './es.ts';
import { fr } from './fr.ts';
import type { PublicWords } from './public-words.ts';

/** Every language that public pages have words of their own in. */
export const allPublicWords: readonly PublicWords[] = [en, de, es, fr];

const primary = (language: string): string => language.split('-')[0]?.toLowerCase() ?? language;

/** The words for pages in a language: its own, or English ones where nobody has written any yet. */
export const wordsFor = (language: string): PublicWords =>
  allPublicWords.find((words) => words.language === language) ??
  allPublicWords.find((words) => primary(words.language) === primary(language)) ??
  en;

/** Whether there are words for a language, so that a page in it is in one language all through. */
export const hasWords = (language: string): boolean =>
  primary(wordsFor(language).language) === primary(language);
