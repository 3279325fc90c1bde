/** What stands in a site that is saved as one file, and in no page of it. */
export interface BookWords {
  contents: string;
}

const words: Readonly<Record<string, BookWords>> = {
  en: { contents: 'Contents' },
  de: { contents: 'Inhalt' },
  es: { contents: 'Índice' },
  fr: { contents: 'Sommaire' },
};

/** In a language of the public pages, else in English. @param language BCP 47 */
export const bookWordsFor = (language: string): BookWords =>
  words[language.split('-')[0]?.toLowerCase() ?? ''] ?? { contents: 'Contents' };
