import type { FastifyInstance } from 'fastify';
import { z } from 'zod';
import { listOutsiderTests, runOutsiderTest } from '#contract/outsider.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { closed } from '../serve/answering.ts';
import { ownSite } from '../sites/load-draft.ts';
import type { Outsider } from './outsider.ts';
import { testsOf } from './outsider-rows.ts';

/** A run opens everything a site has, many times over. */
const slowly = { config: { rateLimit: { max: 30, timeWindow: '1 minute' } } };

/** A site's links, opened as somebody without an account would open them. */
export function outsiderRoutes(
  app: FastifyInstance,
  { db, outsider }: { db: Database; outsider: Outsider },
): void {
  const told = async (site: string) => ({
    tests: await testsOf(db, site),
    running: outsider.isRunning(site),
  });

  handle(app, listOutsiderTests, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    return told(site.id);
  });

  handle(
    app,
    runOutsiderTest,
    async ({ params }, request) => {
      const site = await ownSite(db, makerOf(request).id, params.site);
      await outsider.run(site.id, 'asked');
      return told(site.id);
    },
    slowly,
  );

  // By this the server knows that what it asks is itself and not another one at the same address.
  app.get('/api/here/:nonce', async (request, reply) => {
    const asked = z.object({ nonce: z.string() }).safeParse(request.params);
    return asked.success && outsider.isMe(asked.data.nonce) ? reply.code(204).send() : closed(reply);
  });
}
