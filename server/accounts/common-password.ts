import { dictionary } from '@zxcvbn-ts/language-common';

let known: ReadonlySet<string> | undefined;

/**
 * Whether a password is one of the tens of thousands that are tried first, by itself or with digits and signs put at its
 * ends, or one sign over and over.
 */
export function isCommonPassword(password: string): boolean {
  known ??= new Set(dictionary['passwords'] as string[]);
  const plain = password.toLowerCase();
  const letters = /[a-z](?:.*[a-z])?/s.exec(plain);
  const bare = letters?.[0] ?? '';
  return known.has(plain) || (bare !== '' && known.has(bare)) || new Set(plain).size < 5;
}
