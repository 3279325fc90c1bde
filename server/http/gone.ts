import type { FastifyReply } from 'fastify';

/** Aborted when whoever asked has gone before they were answered: what was asked for is then not wanted any more. */
export function goneSignal(reply: FastifyReply): AbortSignal {
  const gone = new AbortController();
  reply.raw.once('close', () => {
    if (!reply.raw.writableFinished) gone.abort();
  });
  return gone.signal;
}
