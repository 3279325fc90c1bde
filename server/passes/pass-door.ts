import cookie from '@fastify/cookie';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { passState } from '#core/passes/pass-state.ts';
import { doorWords } from '#core/public-words/door-words.ts';
import { passwordField, renderDoorPage } from '#site/render/door-page.tsx';
import { isPassword } from '../accounts/password-hash.ts';
import { attaching } from '../comments/attaching.ts';
import { commenting } from '../comments/commenting.ts';
import type { SiteComments } from '../comments/site-comments.ts';
import type { Database } from '../db/connect.ts';
import { limited } from '../http/limited.ts';
import type { BlobStore } from '../media/blob-store.ts';
import type { Reading } from '../reading/reading.ts';
import { type Answer, closed } from '../serve/answering.ts';
import { doorHeaders, sayMaking, soonMade } from '../serve/making.ts';
import type { Entrance, FoundPass, PublicSites } from '../serve/public-sites.ts';
import { DoorTokens } from './door-tokens.ts';
import { looksLikeKey } from './pass-key.ts';

/** Passwords tried in an hour: at one pass from one place, which may be a whole class behind one address, and at one pass at all. */
const limits = { fromPlace: 60, atAll: 200 } as const;

interface PassDoorDeps {
  open: PublicSites;
  /** What answers below an entrance. */
  answer: Answer;
  /** What answers what is sent by the forms on its pages. */
  write: Answer;
  db: Database;
  blobs: BlobStore;
  comments: SiteComments;
  /** Where files from outside are looked into. */
  reading: Reading;
  maxPixels: number;
  /** Told of a site that somebody has commented on. */
  onComment: (site: string) => Promise<void>;
  secret: Buffer;
  /** Cookies go over HTTPS only. */
  secureCookies: boolean;
  /** This server sends mail. */
  mails: boolean;
  /** See `soonMade`. */
  patienceMs: number;
  now?: () => Date;
}

type AtDoor = { open: Entrance; pass: FoundPass } | 'closed' | 'making' | { asks: FoundPass };

/**
 * The door of passes: `/p/<key>/`. What is switched off, over, not open yet or never was gets the page that everything closed gets. Of
 * what asks for a password nothing is told, not even which of its addresses there are. The one cookie of the public side is kept by
 * whoever knew the password, for this pass alone.
 */
export async function passDoor(
  app: FastifyInstance,
  {
    open,
    answer,
    write,
    db,
    blobs,
    comments,
    reading,
    maxPixels,
    onComment,
    secret,
    secureCookies,
    mails,
    patienceMs,
    now = () => new Date(),
  }: PassDoorDeps,
): Promise<void> {
  await app.register(cookie);
  const cookieName = secureCookies ? '__Secure-kite_wall_pass' : 'kite_wall_pass';
  const tokens = new DoorTokens(secret, now);
  const mayTryHere = limited(app, limits.fromPlace);
  const mayTryAtAll = limited(app, limits.atAll);
  const base = (key: string) => `/p/${key}/`;
  const changed = (site: string) => open.forget([site]);
  const attach = await attaching(app, { db, blobs, reading, maxPixels, now });
  const said = commenting(app, {
    db,
    blobs,
    comments,
    attach,
    changed,
    onComment,
    secureCookies,
    mails,
    now,
  });
  const pageOf = (
    { open: entrance, pass }: Extract<AtDoor, { open: Entrance }>,
    key: string,
    path: string,
  ) => ({
    ...{ entrance, pass: pass.id, mayComment: pass.mayComment, asks: pass.asks, base: base(key), path },
  });

  async function at(request: FastifyRequest, key: string): Promise<AtDoor> {
    const pass = looksLikeKey(key) ? await open.atPass(key) : null;
    if (!pass || passState({ ...pass, on: true }, now()) !== 'open') return 'closed';
    if (pass.passwordHash !== null && !tokens.holds(request.cookies[cookieName], pass)) return { asks: pass };
    const entrance = await soonMade(pass.enter(), patienceMs);
    if (entrance === 'making') return 'making';
    return entrance ? { open: entrance, pass } : 'closed';
  }

  const asks = (
    request: FastifyRequest,
    reply: FastifyReply,
    status: number,
    fault: 'wrong' | 'tooMany' | null,
  ) => {
    const words = doorWords(request.headers['accept-language'] ?? '');
    return reply
      .code(status)
      .headers({ ...doorHeaders, vary: 'accept-language' })
      .send(renderDoorPage(words, { fault: fault && words[fault] }));
  };

  /** Lets somebody in who knows the password. */
  async function tries(request: FastifyRequest, reply: FastifyReply, key: string, pass: FoundPass) {
    if (
      !(await mayTryHere(request, `${pass.id} from ${request.ip}`)) ||
      !(await mayTryAtAll(request, `${pass.id} at all`))
    )
      return asks(request, reply, 429, 'tooMany');
    const typed = (request.body as Record<string, unknown> | null)?.[passwordField];
    // Spaces come along when it is copied.
    const password = typeof typed === 'string' ? typed.trim().slice(0, 200) : '';
    if (!(await isPassword(pass.passwordHash ?? '', password))) return asks(request, reply, 403, 'wrong');
    return reply
      .setCookie(cookieName, tokens.issue(pass), {
        ...{ path: base(key), httpOnly: true, sameSite: 'lax', secure: secureCookies },
      })
      .header('cache-control', 'no-store')
      .redirect(request.url, 303);
  }

  type Params = { Params: { key: string; '*': string } };
  app.get<Params>('/p/:key/*', async (request, reply) => {
    const { key, '*': path } = request.params;
    const door = await at(request, key);
    if (door === 'closed') return closed(reply);
    if (door === 'making') return sayMaking(request, reply);
    if ('asks' in door) return asks(request, reply, 200, null);
    const entrance = { ...door.open, said: said.reads(request, pageOf(door, key, path)) };
    return answer(request, reply, Promise.resolve({ entrance }), base(key), path);
  });
  app.get<{ Params: { key: string } }>('/p/:key', async (request, reply) => {
    const { key } = request.params;
    return (await at(request, key)) === 'closed' ? closed(reply) : reply.redirect(base(key), 302);
  });
  app.post<Params>('/p/:key/*', async (request, reply) => {
    const { key, '*': path } = request.params;
    const door = await at(request, key);
    if (door === 'closed') return closed(reply);
    if (door === 'making') return sayMaking(request, reply);
    if ('asks' in door) return tries(request, reply, key, door.asks);
    if (request.isMultipart())
      return (await said.attaches(request, reply, pageOf(door, key, path))) ? reply : closed(reply);
    if (await said.writes(request, reply, pageOf(door, key, path))) return reply;
    return write(request, reply, Promise.resolve({ entrance: door.open }), base(key), path);
  });
}
