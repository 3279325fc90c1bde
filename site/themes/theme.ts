/** What is to be known of a theme beside its sheets. */
export interface ThemeFacts {
  /** Its name as a maker reads it. */
  label: string;
  /** In one sentence, whom or what it suits. */
  suits: string;
  /** Whether its sheet slants words by itself; otherwise only what a maker slanted needs slanted letters. */
  slants: boolean;
  /** Whether the words of a full opening lie over its picture. */
  overPictures: boolean;
  /** Whether pictures have numbers in it. */
  numbersFigures?: true;
}
