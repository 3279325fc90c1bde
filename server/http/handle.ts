import type { FastifyInstance, FastifyReply, FastifyRequest, RouteShorthandOptions } from 'fastify';
import type { z } from 'zod';
import { wellFormedIn } from '#core/words/well-formed.ts';
import type { Route } from '#contract/route.ts';
import { parsed } from './parsed.ts';

/** Answers a route of the contract: parameters and body are parsed before, the reply after. */
export function handle<P extends z.ZodType, B extends z.ZodType, R extends z.ZodType>(
  app: FastifyInstance,
  route: Route<P, B, R>,
  answer: (
    input: { params: z.output<P>; body: z.output<B> },
    request: FastifyRequest,
    reply: FastifyReply,
  ) => Promise<z.input<R>>,
  options: RouteShorthandOptions = {},
): void {
  app.route({
    ...options,
    method: route.method,
    url: route.path,
    handler: async (request, reply) => {
      // What no database keeps and nobody sees is taken out, and the studio says so.
      const body = wellFormedIn(request.body ?? undefined);
      if (body !== (request.body ?? undefined)) reply.header('kite-wall-mended', '1');
      const input = {
        params: parsed(route.params, request.params),
        body: parsed(route.body, body),
      };
      return parsed(route.reply, await answer(input, request, reply));
    },
  });
}
