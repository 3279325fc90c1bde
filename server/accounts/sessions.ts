import { createHash, randomBytes } from 'node:crypto';
import { and, eq, gt, lt } from 'drizzle-orm';
import type { FastifyReply, FastifyRequest } from 'fastify';
import plugin from 'fastify-plugin';
import type { Account } from '#contract/account.ts';
import type { Config } from '../config.ts';
import type { Database } from '../db/connect.ts';
import { cookieName } from './cookie-name.ts';
import { deviceOf } from './device-of.ts';
import { accounts, sessions } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';

/** A session ends so long after it began, whatever happens, in ms: 30 days. */
const lastsMs = 30 * 24 * 60 * 60 * 1000;
/** One that nobody has used for so long ends before, in ms: 14 days. */
const unusedMs = 14 * 24 * 60 * 60 * 1000;
/** How exactly it is known when a session was last used, in ms: an hour. */
const seenEveryMs = 60 * 60 * 1000;
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Of sessions that have not ended at a time. */
export const goesOn = (now: Date) =>
  and(gt(sessions.expiresAt, now), gt(sessions.seenAt, new Date(now.getTime() - unusedMs)));

declare module 'fastify' {
  interface FastifyRequest {
    /** The signed-in maker, or null. */
    account: Account | null;
    /** Id of the session that asks; null where nobody is signed in. */
    session: string | null;
  }
}

/** The signed-in maker of a request. Throws Problem 401 when nobody is. */
export function makerOf(request: FastifyRequest): Account {
  if (!request.account)
    throw new Problem(401, 'signed-out', 'You are signed out. Sign in again; what you wrote is kept here.');
  return request.account;
}

/** Starts a session and hands its cookie to the browser. One that the browser had ends: its cookie is given away. */
export async function startSession(
  db: Database,
  request: FastifyRequest,
  reply: FastifyReply,
  account: string,
  secure: boolean,
): Promise<void> {
  const token = randomBytes(32).toString('base64url');
  if (request.session !== null) await db.delete(sessions).where(eq(sessions.id, request.session));
  await db.delete(sessions).where(lt(sessions.expiresAt, new Date()));
  await db.insert(sessions).values({
    tokenHash: hashOf(token),
    accountId: account,
    device: deviceOf(request.headers['user-agent']),
    expiresAt: new Date(Date.now() + lastsMs),
  });
  reply.setCookie(cookieName(secure), token, {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure,
    maxAge: lastsMs / 1000,
  });
}

/** Whose session a cookie's value is; null of one that is over or never was. */
export async function accountBehind(db: Database, token: string): Promise<string | null> {
  const [row] = await db
    .select({ account: sessions.accountId })
    .from(sessions)
    .where(and(eq(sessions.tokenHash, hashOf(token)), goesOn(new Date())));
  return row?.account ?? null;
}

/** Ends the session of a request, here and in the browser. */
export async function endSession(
  db: Database,
  request: FastifyRequest,
  reply: FastifyReply,
  secure: boolean,
): Promise<void> {
  const token = request.cookies[cookieName(secure)];
  if (token) await db.delete(sessions).where(eq(sessions.tokenHash, hashOf(token)));
  reply.clearCookie(cookieName(secure), { path: '/', secure });
}

/**
 * Finds out who asks, for every request in this scope, and refuses writes that come from another origin: a form
 * on somebody else's page must not act for a signed-in maker.
 */
export const sessionScope = plugin<{
  db: Database;
  config: Pick<Config, 'secureCookies' | 'publicOrigin'>;
}>(async (app, { db, config }) => {
  app.decorateRequest('account', null);
  app.decorateRequest('session', null);
  app.addHook('onRequest', async (request) => {
    if (request.method !== 'GET' && request.method !== 'HEAD') {
      const { origin } = request.headers;
      // Scheme, host and port: another program at another port of this machine is somebody else.
      const own = [`${request.protocol}://${request.host}`, config.publicOrigin];
      if (!origin || !URL.canParse(origin) || !own.includes(new URL(origin).origin))
        throw new Problem(
          403,
          'other-origin',
          'This request did not come from the studio, so it was refused.',
        );
    }
    const token = request.cookies[cookieName(config.secureCookies)];
    if (!token) return;
    const [row] = await db
      .select({
        account: { id: accounts.id, name: accounts.name, email: accounts.email, leavesAt: accounts.leavesAt },
        session: sessions.id,
        seenAt: sessions.seenAt,
      })
      .from(sessions)
      .innerJoin(accounts, eq(accounts.id, sessions.accountId))
      .where(and(eq(sessions.tokenHash, hashOf(token)), goesOn(new Date())));
    if (!row) return;
    request.account = { ...row.account, leavesAt: row.account.leavesAt?.toISOString() ?? null };
    request.session = row.session;
    if (Date.now() - row.seenAt.getTime() > seenEveryMs)
      await db
        .update(sessions)
        .set({ seenAt: new Date() })
        .where(eq(sessions.tokenHash, hashOf(token)));
  });
});
