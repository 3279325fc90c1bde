import type { FastifyInstance } from 'fastify';
import { confirmAddress, forgotPassword, resetPassword } from '#contract/account.ts';
import { handle } from '../http/handle.ts';
import { limited } from '../http/limited.ts';
import { Problem } from '../http/problem.ts';
import type { AccountDeps } from './account-deps.ts';
import { accountOf, confirmAddressOf, setPassword, usedUp } from './account-rows.ts';
import { useToken } from './account-tokens.ts';
import { goodPassword } from './good-password.ts';
import { hashPassword } from './password-hash.ts';

const slowly = { config: { rateLimit: { max: 10, timeWindow: '1 minute' } } };
/** Mails of one address in an hour: whoever fills in somebody else's address does not fill their box. */
const mailsPerHour = 5;

/** What is done by what stands in a mail, by whoever reads it, signed in or not. */
export function forgottenRoutes(app: FastifyInstance, { db, mailing, now }: AccountDeps): void {
  const mayMail = limited(app, mailsPerHour);
  /** What is still being looked up when the server stops. */
  const running = new Set<Promise<unknown>>();
  app.addHook('preClose', async () => {
    await Promise.allSettled(running);
  });

  handle(
    app,
    forgotPassword,
    async ({ body: { email } }, request) => {
      if (!mailing.sends)
        throw new Problem(409, 'no-mail', 'This server sends no mail. Whoever runs it can help you.');
      if (!(await mayMail(request, email))) return {};
      // Looked up behind whoever asks, so that the time taken does not tell whether there is such an account.
      const looking = accountOf(db, email)
        .then((row) => row && mailing.post(row.id, row.email, { kind: 'reset' }))
        .catch((error: unknown) => request.log.error({ err: error }, 'a forgotten password was not helped'))
        .finally(() => running.delete(looking));
      running.add(looking);
      return {};
    },
    slowly,
  );

  handle(
    app,
    resetPassword,
    async ({ body: { token, password } }) => {
      // A common one is refused before the link is used up.
      goodPassword(password);
      const passwordHash = await hashPassword(password);
      const of = await db.transaction(async (tx) => {
        const found = await useToken(tx, 'reset', token, now());
        if (!found) throw usedUp();
        goodPassword(password, found.email);
        const row = await setPassword(tx, found.account, passwordHash, null);
        // Whoever reads the mails of this address has shown so.
        if (row?.email === found.email) await confirmAddressOf(tx, found, now());
        return row;
      });
      if (of) await mailing.post(of.id, of.email, { kind: 'password-changed' });
      return {};
    },
    slowly,
  );

  handle(
    app,
    confirmAddress,
    async ({ body: { token } }) => {
      const { before, email, account } = await db.transaction(async (tx) => {
        const found = await useToken(tx, 'confirm', token, now());
        if (!found) throw usedUp();
        return { ...found, before: await confirmAddressOf(tx, found, now()) };
      });
      if (before !== email) await mailing.post(account, before, { kind: 'address-changed', now: email });
      return { email };
    },
    slowly,
  );
}
