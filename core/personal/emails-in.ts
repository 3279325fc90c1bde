/**
 * E-mail addresses in some words: what the HTML Standard calls a valid one, with a dot in its domain and ending where the
 * sentence goes on.
 *
 * Source: HTML Living Standard, 4.10.5.1.5 “E-mail state”.
 */
const address =
  /(?<![\w.!#$%&'*+/=?^`{|}~-])[\w.!#$%&'*+/=?^`{|}~-]{1,64}@[a-z\d](?:[a-z\d-]{0,61}[a-z\d])?(?:\.[a-z\d](?:[a-z\d-]{0,61}[a-z\d])?)+/gi;

/** @returns each as it stands there */
export const emailsIn = (text: string): string[] => (text.includes('@') ? (text.match(address) ?? []) : []);
