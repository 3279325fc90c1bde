import type { FastifyInstance, FastifyReply } from 'fastify';
import { createAccount, getMe, signIn, signInToDemo, signOut } from '#contract/account.ts';
import type { Config } from '../config.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { Problem } from '../http/problem.ts';
import { accountOf, addAccount } from './account-rows.ts';
import { isCommonPassword } from './common-password.ts';
import { limitedTries } from './limited-tries.ts';
import { hashPassword, isPassword } from './password-hash.ts';
import { endSession, startSession } from './sessions.ts';

/** Verified when the e-mail is unknown, so that the time taken does not tell whether an account exists. */
const decoy = hashPassword('nobody has this password');
/** The demo is entered by one click, by many people behind one address. */
const often = { config: { rateLimit: { max: 60, timeWindow: '1 minute' } } };
const slowly = { config: { rateLimit: { max: 10, timeWindow: '1 minute' } } };

export const demoEmail = 'wren@demo.example';

export function accountRoutes(app: FastifyInstance, { db, config }: { db: Database; config: Config }): void {
  const { demo, secureCookies } = config;
  const tryOf = limitedTries(app, 100);

  handle(app, getMe, async (_, request) => ({ account: request.account, demo }));

  handle(
    app,
    createAccount,
    async ({ body }, _, reply) => {
      if (isCommonPassword(body.password) || body.password.toLowerCase().includes(body.email))
        throw new Problem(
          400,
          'common-password',
          'This password is among the first that anybody tries. A short sentence of your own is good.',
          { field: 'password' },
        );
      if (await accountOf(db, body.email))
        throw new Problem(
          409,
          'email-known',
          'There is an account with this e-mail already. Sign in instead.',
          {
            field: 'email',
          },
        );
      const passwordHash = await hashPassword(body.password);
      const account = await addAccount(db, { name: body.name, email: body.email, passwordHash });
      await startSession(db, reply, account.id, secureCookies);
      return { account, demo };
    },
    slowly,
  );

  handle(
    app,
    signIn,
    async ({ body }, request, reply) => {
      await tryOf(request, body.email);
      const row = await accountOf(db, body.email);
      const right = await isPassword(row?.passwordHash ?? (await decoy), body.password);
      if (!row || !right)
        throw new Problem(401, 'wrong-sign-in', 'E-mail and password do not belong together. Check both.', {
          field: 'password',
        });
      await startSession(db, reply, row.id, secureCookies);
      return { account: { id: row.id, name: row.name, email: row.email }, demo };
    },
    slowly,
  );

  const enterDemo = async (reply: FastifyReply) => {
    const row = demo ? await accountOf(db, demoEmail) : null;
    if (!row) throw new Problem(404, 'no-demo', 'This server has no demo account.');
    await startSession(db, reply, row.id, secureCookies);
    return { account: { id: row.id, name: row.name, email: row.email }, demo };
  };
  handle(app, signInToDemo, (_, __, reply) => enterDemo(reply), often);

  handle(app, signOut, async (_, request, reply) => {
    await endSession(db, request, reply, secureCookies);
    return { account: null, demo };
  });
}
