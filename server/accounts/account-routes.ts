import type { FastifyInstance, FastifyRequest } from 'fastify';
import {
  changeAddress,
  changeName,
  changePassword,
  endOneSession,
  endOtherSessions,
  getAccount,
  leaveServer,
  sendConfirmation,
  stayOnServer,
  type WholeAccount,
} from '#contract/account.ts';
import { handle } from '../http/handle.ts';
import { limited } from '../http/limited.ts';
import { notFound, Problem } from '../http/problem.ts';
import { usedBytes } from '../media/allowance.ts';
import type { AccountDeps } from './account-deps.ts';
import {
  accountById,
  accountOf,
  type AccountRow,
  awaitAddress,
  endSessions,
  setName,
  setPassword,
  setUnconfirmedAddress,
} from './account-rows.ts';
import { goodPassword } from './good-password.ts';
import { setLeaving } from './leaving-rows.ts';
import { limitedTries } from './limited-tries.ts';
import { hashPassword, isPassword } from './password-hash.ts';
import { demoEmail } from './routes.ts';
import { endSessionOf, sessionsOf } from './session-rows.ts';
import { makerOf } from './sessions.ts';

/** Mails a maker may cause in an hour. */
const mailsPerHour = 10;
const leavesAfterMs = 14 * 24 * 60 * 60 * 1000;

/** What makers do with their own account. */
export function ownAccountRoutes(app: FastifyInstance, deps: AccountDeps): void {
  const { db, config, mailing, open, now } = deps;
  const tryOf = limitedTries(app, 100);
  const mayMail = limited(app, mailsPerHour);
  const isDemo = ({ email }: AccountRow) => config.demo && email === demoEmail;

  const whole = async (request: FastifyRequest): Promise<WholeAccount> => {
    const row = await accountById(db, makerOf(request).id);
    const { id, name, email, coming } = row;
    return {
      ...{ name, email, coming, sendsMail: mailing.sends, isDemo: isDemo(row) },
      confirmed: row.confirmedAt !== null,
      sessions: await sessionsOf(db, id, request.session, now()),
      leavesAt: row.leavesAt?.toISOString() ?? null,
      bytes: await usedBytes(db, id),
    };
  };
  /** The account of a request that brings its password; what the demo's many makers share is left as it is. */
  const proven = async (request: FastifyRequest, password: string, field: string): Promise<AccountRow> => {
    const row = await accountById(db, makerOf(request).id);
    if (isDemo(row))
      throw new Problem(
        403,
        'demo-stays',
        'The demo account belongs to everybody here, so this stays as it is. Make an account of your own.',
      );
    await tryOf(request, row.email);
    if (!(await isPassword(row.passwordHash, password)))
      throw new Problem(403, 'wrong-password', 'This is not the password of your account.', { field });
    return row;
  };
  const expectMail = async (request: FastifyRequest) => {
    if (!(await mayMail(request, makerOf(request).id)))
      throw new Problem(
        429,
        'too-many-mails',
        'There were too many mails in the last hour. Wait an hour, then try again.',
      );
  };

  handle(app, getAccount, (_, request) => whole(request));

  handle(app, changeName, async ({ body }, request) => {
    await setName(db, makerOf(request).id, body.name);
    return whole(request);
  });

  handle(app, sendConfirmation, async (_, request) => {
    const { id, email, confirmedAt, coming } = await accountById(db, makerOf(request).id);
    if (!mailing.sends) throw new Problem(409, 'no-mail', 'This server sends no mail.');
    if (confirmedAt !== null && coming === null) return whole(request);
    await expectMail(request);
    await sendTo(id, coming ?? email, coming !== null);
    return whole(request);
  });

  /** Whose address it is already is told in a mail to them, and to nobody else. */
  const sendTo = async (account: string, email: string, isNew: boolean) => {
    const other = isNew ? await accountOf(db, email) : null;
    if (other && other.id !== account) await mailing.post(other.id, email, { kind: 'address-in-use' });
    else await mailing.post(account, email, { kind: isNew ? 'confirm-new' : 'confirm' });
  };

  handle(app, changeAddress, async ({ body: { email, password } }, request) => {
    const row = await proven(request, password, 'password');
    if (email === row.email) await awaitAddress(db, row.id, null);
    else if (!mailing.sends) await setUnconfirmedAddress(db, row.id, email);
    else {
      await expectMail(request);
      await awaitAddress(db, row.id, email);
      await sendTo(row.id, email, true);
    }
    return whole(request);
  });

  handle(app, changePassword, async ({ body: { old, password } }, request) => {
    const row = await proven(request, old, 'old');
    goodPassword(password, row.email);
    const passwordHash = await hashPassword(password);
    await db.transaction((tx) => setPassword(tx, row.id, passwordHash, request.session));
    await mailing.post(row.id, row.email, { kind: 'password-changed' });
    return whole(request);
  });

  handle(app, endOneSession, async ({ params }, request) => {
    if (!(await endSessionOf(db, makerOf(request).id, params.session))) throw notFound('This sign-in');
    return whole(request);
  });

  handle(app, endOtherSessions, async (_, request) => {
    await endSessions(db, makerOf(request).id, request.session);
    return whole(request);
  });

  handle(app, leaveServer, async ({ body }, request) => {
    const row = await proven(request, body.password, 'password');
    // Asked again, the days go on from the first time.
    const at = row.leavesAt ?? new Date(now().getTime() + leavesAfterMs);
    await open.forget(await setLeaving(db, row.id, at));
    await endSessions(db, row.id, request.session);
    await mailing.post(row.id, row.email, { kind: 'leaving', at: at.toISOString() });
    return whole(request);
  });

  handle(app, stayOnServer, async (_, request) => {
    await open.forget(await setLeaving(db, makerOf(request).id, null));
    return whole(request);
  });
}
