import { createHash } from 'node:crypto';
import type { FastifyReply } from 'fastify';
import { closedPageStyle } from '#site/render/closed-page.tsx';

const styleHash = createHash('sha256').update(closedPageStyle).digest('base64');

/** Told to a maker who looks as somebody who would get nothing. @param sentence why, in plain words */
export function nothingToSee(reply: FastifyReply, sentence: string): FastifyReply {
  return reply
    .type('text/html; charset=utf-8')
    .header('cache-control', 'private, no-store')
    .header(
      'content-security-policy',
      `default-src 'none'; style-src 'sha256-${styleHash}'; font-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'self'`,
    )
    .send(
      `<!doctype html><html lang="en"><head><title>Nothing to see</title><meta name="viewport" content="width=device-width, initial-scale=1"><style>${closedPageStyle}</style></head><body><main><h1>Nothing to see</h1><p>${sentence}</p></main></body></html>`,
    );
}
