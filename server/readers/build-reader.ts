import replyFrom from '@fastify/reply-from';
import Fastify, { type FastifyInstance } from 'fastify';
import { buffer } from 'node:stream/consumers';
import type { Readable } from 'node:stream';
import { keptOpenMs, limitedServer } from '../http/limited-server.ts';
import { acceptedCoding, type ReadyResponses } from '../serve/ready-responses.ts';
import { keepHeader, readKeep } from './messages.ts';

/** Headers of one connection, which the next one makes for itself (RFC 9110, section 7.6.1), and our own mark. */
const ofOneConnection = new Set(['connection', 'keep-alive', 'transfer-encoding', 'date', keepHeader]);
const forwarded = [
  'x-forwarded-for',
  'x-forwarded-host',
  'x-forwarded-proto',
  'x-forwarded-port',
  'forwarded',
];

const ownHeaders = <T>(headers: Record<string, T>): Record<string, T> =>
  Object.fromEntries(Object.entries(headers).filter(([name]) => !ofOneConnection.has(name)));

/**
 * A reading process's server: what it keeps it answers by itself, everything else goes to the owner of the data and
 * comes back as it is.
 *
 * @param owner path of the owner's local socket
 */
export async function buildReader(owner: string, ready: ReadyResponses): Promise<FastifyInstance> {
  const app = Fastify({
    serverFactory: (handler) =>
      limitedServer((request, response) => {
        if (!ready.answer(request, response)) handler(request, response);
      }),
    logger: { level: 'error' },
    // Limits are the owner's to set; a reader only passes on.
    bodyLimit: Number.MAX_SAFE_INTEGER,
    trustProxy: '127.0.0.1',
  });
  await app.register(replyFrom, {
    base: `unix+http://${encodeURIComponent(owner)}/`,
    // An upload may take as long as the line needs.
    undici: {
      ...{ connections: 64, headersTimeout: 0, bodyTimeout: 0 },
      // Long before the owner closes a connection, it is not used any more: what is sent by POST is not sent again by itself.
      ...{ keepAliveTimeout: keptOpenMs / 2, keepAliveMaxTimeout: keptOpenMs / 2 },
    },
    disableRequestLogging: true,
    retryMethods: [],
  });
  app.removeAllContentTypeParsers();
  app.addContentTypeParser('*', (_request, payload, done) => done(null, payload));
  app.setErrorHandler((_error, _request, reply) =>
    reply.code(503).header('retry-after', '1').type('text/plain').send('The server is starting. Try again.'),
  );
  app.all('/*', (request, reply) => {
    const url = request.raw.url ?? '/';
    return reply.from(url, {
      rewriteRequestHeaders: (original, headers) => {
        // Only a proxy on this machine may speak for somebody else.
        const told = original.socket.remoteAddress === '127.0.0.1' ? [] : forwarded;
        const kept = Object.fromEntries(Object.entries(headers).filter(([name]) => !told.includes(name)));
        return {
          ...kept,
          host: original.headers.host,
          'x-forwarded-for': [kept['x-forwarded-for'], original.socket.remoteAddress]
            .filter(Boolean)
            .join(', '),
        };
      },
      rewriteHeaders: ownHeaders,
      onResponse: (_request, _reply, answer) => {
        const { headers, stream } = answer as unknown as {
          headers: Record<string, string>;
          stream: Readable;
        };
        const keep = readKeep(headers[keepHeader]);
        if (keep === null || reply.statusCode !== 200 || request.method !== 'GET')
          return void reply.send(stream);
        const { age, site, seen } = keep;
        void buffer(stream).then(
          (body) => {
            ready.keep({ age, site }, url, acceptedCoding(request.headers['accept-encoding']), {
              etag: headers['etag'] ?? '',
              headers: Object.entries(ownHeaders(headers)).flat(),
              body,
              ...(seen && { seen }),
            });
            return reply.send(body);
          },
          (error: unknown) => reply.send(error),
        );
      },
    });
  });
  return app;
}
