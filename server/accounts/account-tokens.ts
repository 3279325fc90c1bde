import { and, eq, gt, lt } from 'drizzle-orm';
import { createHash, randomBytes } from 'node:crypto';
import { tokenLives } from '#core/letters/token-lives.ts';
import type { Executor } from '../db/connect.ts';
import { accountTokens } from '../db/schema.ts';

export type TokenDoes = keyof typeof tokenLives;
export interface TokenOf {
  account: string;
  /** The address it was sent to. */
  email: string;
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/**
 * Makes what a mail brings to prove that its reader has it: 256 bits at random. One that was made for the same before opens nothing
 * any more.
 */
export async function makeToken(
  db: Executor,
  does: TokenDoes,
  { account, email }: TokenOf,
  now: Date,
): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  await db.delete(accountTokens).where(lt(accountTokens.expiresAt, now));
  await db
    .delete(accountTokens)
    .where(and(eq(accountTokens.accountId, account), eq(accountTokens.does, does)));
  await db.insert(accountTokens).values({
    ...{ tokenHash: hashOf(token), accountId: account, does, email },
    expiresAt: new Date(now.getTime() + tokenLives[does].ms),
  });
  return token;
}

/** Uses a token up. @returns whose it was; null of one that is used, too old, or never was */
export async function useToken(
  db: Executor,
  does: TokenDoes,
  token: string,
  now: Date,
): Promise<TokenOf | null> {
  const [row] = await db
    .delete(accountTokens)
    .where(
      and(
        eq(accountTokens.tokenHash, hashOf(token)),
        eq(accountTokens.does, does),
        gt(accountTokens.expiresAt, now),
      ),
    )
    .returning();
  return row ? { account: row.accountId, email: row.email } : null;
}

/** Nothing that was sent so far proves anything any more. */
export const dropTokens = (db: Executor, account: string): Promise<unknown> =>
  db.delete(accountTokens).where(eq(accountTokens.accountId, account));
