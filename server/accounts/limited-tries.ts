import type { FastifyInstance, FastifyRequest } from 'fastify';
import { limited } from '../http/limited.ts';
import { Problem } from '../http/problem.ts';

/**
 * A limit of tries for each account, whatever address they come from.
 *
 * @param max in an hour
 * @returns what throws Problem 429 when there were too many
 */
export function limitedTries(
  app: FastifyInstance,
  max: number,
): (request: FastifyRequest, name: string) => Promise<void> {
  const mayTry = limited(app, max);
  return async (request, name) => {
    if (!(await mayTry(request, name)))
      throw new Problem(
        429,
        'too-many-tries',
        'There were too many tries for this account in the last hour. Wait an hour, then try again.',
      );
  };
}
