import { createHash } from 'node:crypto';
import { setTimeout as after } from 'node:timers/promises';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { doorWords } from '#core/public-words/door-words.ts';
import { doorPageStyle, renderMakingPage } from '#site/render/door-page.tsx';

const styleHash = createHash('sha256').update(doorPageStyle).digest('base64');

/** Headers of the pages that are said at a door: what asks for a password, and what asks to wait. */
export const doorHeaders = {
  'content-type': 'text/html; charset=utf-8',
  'content-security-policy': `default-src 'none'; style-src 'sha256-${styleHash}'; font-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'self'`,
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'x-robots-tag': 'noindex',
  'cache-control': 'no-store',
};

/**
 * What is being made, or `making` where that takes longer than anybody wants to look at nothing; it is made on.
 *
 * @param patienceMs how long that is
 */
export function soonMade<T>(made: Promise<T>, patienceMs: number): Promise<T | 'making'> {
  const waiting = new AbortController();
  return Promise.race([
    made,
    after(patienceMs, 'making' as const, { signal: waiting.signal, ref: false }),
  ]).finally(() => waiting.abort());
}

/** Says that it is being made; the browser asks again by itself. */
export const sayMaking = (request: FastifyRequest, reply: FastifyReply): FastifyReply =>
  reply
    .code(503)
    .headers({ ...doorHeaders, vary: 'accept-language', 'retry-after': '3', refresh: '3' })
    .send(renderMakingPage(doorWords(request.headers['accept-language'] ?? '')));
