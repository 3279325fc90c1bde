import type { FastifyInstance, FastifyRequest } from 'fastify';
import { createHash } from 'node:crypto';
import { Problem } from '../http/problem.ts';

/**
 * A limit of tries for each account, whatever address they come from. The name is kept as a hash, so that memory and logs
 * hold no e-mail.
 *
 * @param max in an hour
 * @returns what throws Problem 429 when there were too many
 */
export function limitedTries(
  app: FastifyInstance,
  max: number,
): (request: FastifyRequest, name: string) => Promise<void> {
  const names = new WeakMap<FastifyRequest, string>();
  const limit = app.createRateLimit({
    max,
    timeWindow: '1 hour',
    keyGenerator: (request) => names.get(request) ?? '',
  });
  return async (request, name) => {
    names.set(request, createHash('sha256').update(name).digest('hex'));
    const result = await limit(request);
    if (!result.isAllowed && result.isExceeded)
      throw new Problem(
        429,
        'too-many-tries',
        'There were too many tries for this account in the last hour. Wait an hour, then try again.',
      );
  };
}
