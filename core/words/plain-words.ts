/** Letters without accents and case, so that "cafe" finds "Café". */
export const plainWords = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLocaleLowerCase('en');

/** The words of a query, each as it is compared. */
export const queryWords = (query: string): string[] =>
  plainWords(query)
    .split(/[^\p{Letter}\p{Number}]+/u)
    .filter(Boolean);
