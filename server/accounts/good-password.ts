import { Problem } from '../http/problem.ts';
import { isCommonPassword } from './common-password.ts';

/**
 * Throws Problem 400 of a password that is easily guessed.
 *
 * @param email of its account, which must not be in it; left out where it is not known yet
 */
export function goodPassword(password: string, email?: string): void {
  const holdsEmail = email !== undefined && password.toLowerCase().includes(email);
  if (isCommonPassword(password) || holdsEmail)
    throw new Problem(
      400,
      'common-password',
      'This password is among the first that anybody tries. A short sentence of your own is good.',
      { field: 'password' },
    );
}
