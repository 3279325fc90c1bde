/** Its own types stand under a name that the compiler does not look for. */
declare module 'unicode-confusables' {
  /** The text with each letter replaced by what it is confused with. */
  export function rectifyConfusion(text: string): string;
}
