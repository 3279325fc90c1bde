import { createHash } from 'node:crypto';
import type { FastifyInstance } from 'fastify';
import { readShortCode } from '#core/codes/short-code.ts';
import { doorWords } from '#core/public-words/door-words.ts';
import { doorPageStyle, renderShortDoor } from '#site/render/door-page.tsx';
import { passState } from '#core/passes/pass-state.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import type { Database } from '../db/connect.ts';
import { closed } from '../serve/answering.ts';
import { pathOfShortCode } from './short-code-rows.ts';

/** Codes asked for in a minute from one place: a class behind one address types fewer, and guessing takes years. */
const perMinute = 60;
const styleHash = createHash('sha256').update(doorPageStyle).digest('base64');

/** Where short codes from print are typed: `/k`, and `/k/<code>`. One that leads nowhere gets the page of everything closed. */
export function shortDoor(
  app: FastifyInstance,
  { db, secret, open, now }: { db: Database; secret: Buffer; open: PublicSites; now: () => Date },
): void {
  /** What is closed and what never was answer alike: a code leads only to what is open now. */
  const leadsOn = async (path: string): Promise<boolean> => {
    const [, first = '', key = ''] = path.split('/');
    if (first !== 'p') return (await open.atAddress(first)) !== null;
    const pass = await open.atPass(key);
    return pass !== null && passState({ ...pass, on: true }, now()) === 'open';
  };
  const slowly = { config: { rateLimit: { max: perMinute, timeWindow: '1 minute' } } };

  app.get<{ Querystring: { code?: string } }>('/k', slowly, async (request, reply) => {
    const { code } = request.query;
    if (typeof code === 'string' && code !== '')
      return reply
        .header('cache-control', 'no-store')
        .redirect(`/k/${encodeURIComponent(code.slice(0, 40))}`, 303);
    return reply
      .headers({
        'content-type': 'text/html; charset=utf-8',
        'content-security-policy': `default-src 'none'; style-src 'sha256-${styleHash}'; font-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'`,
        'x-content-type-options': 'nosniff',
        'referrer-policy': 'no-referrer',
        'x-robots-tag': 'noindex',
        vary: 'accept-language',
      })
      .send(renderShortDoor(doorWords(request.headers['accept-language'] ?? '')));
  });

  app.get<{ Params: { code: string } }>('/k/:code', slowly, async (request, reply) => {
    const code = readShortCode(request.params.code);
    const path = code === null ? null : await pathOfShortCode(db, code, secret);
    if (path === null || !(await leadsOn(path))) return closed(reply);
    return reply
      .headers({ 'cache-control': 'no-store', 'referrer-policy': 'no-referrer', 'x-robots-tag': 'noindex' })
      .redirect(path, 302);
  });
}
