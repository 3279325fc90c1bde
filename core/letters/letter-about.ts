/** What a mail is about. Its words are made of this when it is sent, so that no key or token waits in the database. */
export type LetterAbout =
  /** The address of a new account, to be confirmed. */
  | { kind: 'confirm' }
  /** The address that an account is to have from now on, to be confirmed. */
  | { kind: 'confirm-new' }
  /** Somebody with an account wanted an address that has one. */
  | { kind: 'address-in-use' }
  /** To the address that was left. */
  | { kind: 'address-changed'; now: string }
  | { kind: 'reset' }
  | { kind: 'password-changed' }
  /** @property at when all of it goes, ISO 8601 */
  | { kind: 'leaving'; at: string }
  /** Comments wait for a word of their maker. */
  | { kind: 'comments' }
  /** A class asks one who joined for something, or gives back what it says of their work. */
  | { kind: 'class'; entry: string; says: 'asked' | 'given-back' }
  /** Whoever commented is told of an answer. */
  | { kind: 'answered'; comment: string }
  /** The link of a pass, with what its maker adds. */
  | { kind: 'pass'; pass: string; note: string }
  /** It closes soon; asked for when its link was sent. */
  | { kind: 'pass-closing'; pass: string };

export type AccountLetterAbout = Exclude<
  LetterAbout,
  { kind: 'pass' | 'pass-closing' | 'comments' | 'class' | 'answered' }
>;
