/** Whether what is said of words (how they read, what they hide) is known of a language (BCP 47): of English only, so far. */
export const knowsWordsOf = (language: string): boolean => /^en\b/i.test(language);
