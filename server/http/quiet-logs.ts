import type { FastifyRequest, FastifyServerOptions } from 'fastify';

/**
 * What a log line says of an error: its kind, its own words and where it came from. What a database says of a failed query
 * repeats the query with all its values, so only its code is taken.
 */
function plainError(error: Error & { code?: unknown; cause?: unknown }): Record<string, unknown> {
  const ofQuery = /^Failed query/.test(error.message);
  const cause = error.cause as { code?: unknown; message?: unknown } | undefined;
  return {
    type: error.name,
    code: error.code ?? cause?.code,
    message: ofQuery ? 'A query failed.' : error.message.split('\n')[0],
    at: (error.stack ?? '')
      .split('\n')
      .filter((line) => /^\s+at /.test(line))
      .slice(0, 12),
  };
}

/** Of a request only what it asks: addresses hold keys of links, names and words that were looked for. */
const plainRequest = (request: FastifyRequest) => ({
  method: request.method,
  route: request.routeOptions?.url ?? 'none',
});

/** Logs without values: no addresses, names, hashes, keys or words of anybody. */
export const quietLogs = (level: string, stream?: NodeJS.WritableStream): FastifyServerOptions['logger'] => ({
  level,
  base: null,
  hooks: {
    // An error by itself would be repeated as the line's own message, with whatever it says.
    logMethod(given, method) {
      const [first] = given as unknown[];
      if (first instanceof Error) method.apply(this, [{ err: first }, 'an error']);
      else method.apply(this, given);
    },
  },
  serializers: { err: plainError as never, req: plainRequest as never, res: () => ({}) as never },
  ...(stream ? { stream } : {}),
});
