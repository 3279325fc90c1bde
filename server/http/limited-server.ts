import { createServer, type RequestListener, type Server } from 'node:http';

/** Of all header fields together, in bytes. The longest here are addresses of previews, which carry fixes. */
const mostHeaderBytes = 16 * 1024;
/** For the headers to arrive, in ms. */
const headersMs = 60_000;
/** A connection on which nothing has moved for this long is closed, in ms. */
const idleMs = 10 * 60_000;

/**
 * A connection on which nothing more is asked is kept open this long, in ms. Node's own five seconds are about as long as programs
 * that keep connections, too, reuse one: on a busy machine it was closed while somebody asked.
 */
export const keptOpenMs = 72_000;

/**
 * A server with limits of its own instead of Node's: a large file over a slow line may take as long as bytes arrive, which
 * Node would end after five minutes whatever happens; who sends headers slowly, or nothing at all, is not waited for.
 */
export function limitedServer(listener: RequestListener): Server {
  const server = createServer(
    {
      ...{ maxHeaderSize: mostHeaderBytes, requestTimeout: 0, headersTimeout: headersMs },
      keepAliveTimeout: keptOpenMs,
    },
    listener,
  );
  // What a program expects of the answer changes nothing about it, and is no reason for another answer than to others.
  server.on('checkExpectation', listener);
  server.setTimeout(idleMs);
  return server;
}
