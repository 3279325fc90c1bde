import { eq } from 'drizzle-orm';
import { accountLetter, type Letter } from '#core/letters/account-letter.ts';
import { askedLetter, givenBackLetter } from '#core/letters/class-letter.ts';
import { commentsLetter } from '#core/letters/comments-letter.ts';
import { makeToken } from '../accounts/account-tokens.ts';
import { letterOfAnswer } from '../comments/letter-of-answer.ts';
import { waitingComments } from '../comments/comment-rows.ts';
import type { Database } from '../db/connect.ts';
import { accounts } from '../db/schema.ts';
import { entryForLetter } from '../groups/entry-for-letter.ts';
import { passWithSite } from '../passes/pass-rows.ts';
import { letterOfPass, type LetterContext } from './letter-of-pass.ts';
import type { LetterRow } from './letter-rows.ts';

/** Writes a mail that is to be sent now. @returns null where nobody is left whom it is about, or it is not so any more */
export async function writeLetter(
  db: Database,
  { accountId, to, about }: LetterRow,
  { origin, secret, now }: LetterContext,
): Promise<Letter | null> {
  const [account] = await db.select().from(accounts).where(eq(accounts.id, accountId));
  if (!account) return null;
  // Its maker wants another address meanwhile.
  if (about.kind === 'confirm' && to !== account.email) return null;
  if (about.kind === 'confirm-new' && to !== account.coming) return null;
  if (about.kind === 'pass' || about.kind === 'pass-closing') {
    const pass = await passWithSite(db, accountId, about.pass);
    return pass && letterOfPass(pass, account, about, { origin, secret, now });
  }
  if (about.kind === 'comments') {
    if (to !== account.email) return null;
    const waiting = await waitingComments(db, accountId);
    return waiting.length > 0 ? commentsLetter(waiting, { name: account.name, origin }) : null;
  }
  if (about.kind === 'answered') return letterOfAnswer(db, to, about.comment, { origin, secret, now });
  if (about.kind === 'class') {
    if (to !== account.email) return null;
    const entry = await entryForLetter(db, accountId, about.entry);
    const of = entry && { name: account.name, origin, ...entry };
    if (about.says === 'asked') return of?.asked ? askedLetter(of.asked, of) : null;
    return of?.givenBack ? givenBackLetter(of.givenBack, of) : null;
  }
  const of = { account: accountId, email: to };
  const facts = { name: account.name, origin };
  if (about.kind === 'reset')
    return accountLetter(about, { ...facts, token: await makeToken(db, 'reset', of, now) });
  if (about.kind === 'confirm' || about.kind === 'confirm-new')
    return accountLetter(about, { ...facts, token: await makeToken(db, 'confirm', of, now) });
  return accountLetter(about, facts);
}
