import type { FastifyInstance, FastifyRequest } from 'fastify';
import { createHash } from 'node:crypto';

/**
 * A limit of how often something may be done under a name within an hour, wherever requests come from. Names are kept as hashes, so
 * that memory and logs hold no address of anybody.
 *
 * @param app with the package of limits registered
 * @param max in an hour
 * @returns counts a request under a name, and tells whether it may go on
 */
export function limited(
  app: FastifyInstance,
  max: number,
): (request: FastifyRequest, name: string) => Promise<boolean> {
  const names = new WeakMap<FastifyRequest, string>();
  const limit = app.createRateLimit({
    max,
    timeWindow: '1 hour',
    keyGenerator: (request) => names.get(request) ?? '',
  });
  return async (request, name) => {
    names.set(request, createHash('sha256').update(name).digest('hex'));
    const result = await limit(request);
    return result.isAllowed || !result.isExceeded;
  };
}
