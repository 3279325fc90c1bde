import type { FastifyReply } from 'fastify';

/** Told to a maker who looks as somebody who would get nothing. @param sentence why, in plain words */
export function nothingToSee(reply: FastifyReply, sentence: string): FastifyReply {
  return reply
    .type('text/html; charset=utf-8')
    .header('cache-control', 'private, no-store')
    .header('content-security-policy', "default-src 'none'")
    .send(
      `<!doctype html><html lang="en"><head><title>Nothing to see</title><meta name="viewport" content="width=device-width, initial-scale=1"></head><body><h1>Nothing to see</h1><p>${sentence}</p></body></html>`,
    );
}
