import { randomBytes } from 'node:crypto';
import type { Running } from '../start.ts';
import { accountOf, setPassword } from './account-rows.ts';
import { hashPassword } from './password-hash.ts';

/**
 * Sets a password that was made up for an account, on a server that does not run: where no mail can be sent, whoever runs it helps
 * who forgot theirs. Ends all sessions of the account.
 *
 * @returns what was done, in a sentence
 */
export async function newPasswordOnce(
  { publishing: { db } }: Pick<Running, 'publishing'>,
  email: string,
): Promise<string> {
  const row = await accountOf(db, email.trim().toLowerCase());
  if (!row) return `There is no account with the address ${email}. Nothing was changed.`;
  const password = randomBytes(12).toString('base64url');
  const passwordHash = await hashPassword(password);
  await db.transaction((tx) => setPassword(tx, row.id, passwordHash, null));
  return `The password of ${row.email} is ${password} from now on. Tell it to them and to nobody else; they can set another one in “Your account”.`;
}
