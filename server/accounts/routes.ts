import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { createHash, timingSafeEqual } from 'node:crypto';
import { type Account, createAccount, getMe, signIn, signInToDemo, signOut } from '#contract/account.ts';
import { handle } from '../http/handle.ts';
import { Problem } from '../http/problem.ts';
import type { AccountDeps } from './account-deps.ts';
import { type AccountRow, accountOf, addAccount } from './account-rows.ts';
import { goodPassword } from './good-password.ts';
import { limitedTries } from './limited-tries.ts';
import { hashPassword, isPassword } from './password-hash.ts';
import { endSession, startSession } from './sessions.ts';

/** Verified when the e-mail is unknown, so that the time taken does not tell whether an account exists. */
const decoy = hashPassword('nobody has this password');
/** The demo is entered by one click, by many people behind one address. */
const often = { config: { rateLimit: { max: 60, timeWindow: '1 minute' } } };
const slowly = { config: { rateLimit: { max: 10, timeWindow: '1 minute' } } };

export const demoEmail = 'wren@demo.example';

const signedInOf = ({ id, name, email, leavesAt }: AccountRow): Account => ({
  ...{ id, name, email },
  leavesAt: leavesAt?.toISOString() ?? null,
});

/** Whether two words are the same, in a time that does not tell how far they are. */
const isSame = (a: string, b: string): boolean =>
  timingSafeEqual(createHash('sha256').update(a).digest(), createHash('sha256').update(b).digest());

/** The door: who is signed in, a new account, signing in and out. */
export function accountRoutes(app: FastifyInstance, { db, config, mailing }: AccountDeps): void {
  const { demo, secureCookies, registration } = config;
  const tryOf = limitedTries(app, 100);
  const tryCode = limitedTries(app, 100);
  const door = { demo, registration: registration.kind, sendsMail: mailing.sends };

  handle(app, getMe, async (_, request) => ({ ...door, account: request.account }));

  const mayRegister = async (request: FastifyRequest, code: string | undefined) => {
    if (registration.kind === 'open') return;
    if (registration.kind === 'closed')
      throw new Problem(403, 'closed', 'This server takes no new accounts. Ask whoever runs it.');
    await tryCode(request, 'registration code');
    if (!isSame(code ?? '', registration.code))
      throw new Problem(403, 'wrong-code', 'This is not the code of this server. Ask whoever runs it.', {
        field: 'code',
      });
  };

  handle(
    app,
    createAccount,
    async ({ body }, request, reply) => {
      await mayRegister(request, body.code);
      goodPassword(body.password, body.email);
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
      await mailing.post(account.id, account.email, { kind: 'confirm' });
      await startSession(db, request, reply, account.id, secureCookies);
      return { ...door, account: { ...account, leavesAt: null } };
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
      await startSession(db, request, reply, row.id, secureCookies);
      return { ...door, account: signedInOf(row) };
    },
    slowly,
  );

  const enterDemo = async (request: FastifyRequest, reply: FastifyReply) => {
    const row = demo ? await accountOf(db, demoEmail) : null;
    if (!row) throw new Problem(404, 'no-demo', 'This server has no demo account.');
    await startSession(db, request, reply, row.id, secureCookies);
    return { ...door, account: signedInOf(row) };
  };
  handle(app, signInToDemo, (_, request, reply) => enterDemo(request, reply), often);

  handle(app, signOut, async (_, request, reply) => {
    await endSession(db, request, reply, secureCookies);
    return { ...door, account: null };
  });
}
