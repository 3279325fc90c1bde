import { Problem } from '../http/problem.ts';
import { isCommonPassword } from './common-password.ts';

/** Throws Problem 400 of a password that is easily guessed for an account of this address. */
export function goodPassword(password: string, email: string): void {
  if (isCommonPassword(password) || password.toLowerCase().includes(email))
    throw new Problem(
      400,
      'common-password',
      'This password is among the first that anybody tries. A short sentence of your own is good.',
      { field: 'password' },
    );
}
