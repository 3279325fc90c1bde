/** A link that somebody handed in, and what the tutor's browser, which has no account, gets there. */
export interface HandedIn {
  who: string;
  link: string;
  /** What a tutor meets, in words. */
  opens: string;
}
