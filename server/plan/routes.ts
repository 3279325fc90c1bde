import type { FastifyInstance, FastifyReply } from 'fastify';
import { z } from 'zod';
import { dropPlanFeed, getPlanFeed, planFile, renewPlanFeed } from '#contract/plan.ts';
import { idSchema } from '#core/id.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { parsed } from '../http/parsed.ts';
import { closed } from '../serve/answering.ts';
import { ownSite } from '../sites/load-draft.ts';
import { calendarOf, dropFeedKey, feedKey, renewFeedKey, siteOfFeed } from './feed-rows.ts';

const asCalendar = (reply: FastifyReply, text: string) =>
  reply
    .headers({
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="plan.ics"',
      'x-robots-tag': 'noindex',
    })
    .send(text);

/** A maker's plan as a calendar: a file, and a private address that calendars follow. */
export function planRoutes(
  app: FastifyInstance,
  { db, publicOrigin }: { db: Database; publicOrigin: string },
): void {
  const addressOf = (key: string | null) => ({
    address: key === null ? null : `${publicOrigin}/api/plan/${key}/plan.ics`,
  });

  handle(app, getPlanFeed, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    return addressOf(await feedKey(db, site.id));
  });

  handle(app, renewPlanFeed, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    return addressOf(await renewFeedKey(db, site.id));
  });

  handle(app, dropPlanFeed, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await dropFeedKey(db, site.id);
    return addressOf(null);
  });

  app.get(planFile(':site'), async (request, reply) => {
    const { site: id } = parsed(z.object({ site: idSchema }), request.params);
    const site = await ownSite(db, makerOf(request).id, id);
    return asCalendar(reply, await calendarOf(db, site, publicOrigin));
  });

  // Whoever has the address has the plan: no cookie is asked for, and a wrong one looks like any address that never was.
  app.get(
    '/api/plan/:key/plan.ics',
    { config: { rateLimit: { max: 120, timeWindow: '1 minute' } } },
    async (request, reply) => {
      const asked = z.object({ key: idSchema }).safeParse(request.params);
      const site = asked.success ? await siteOfFeed(db, asked.data.key) : null;
      if (!site) return closed(reply);
      return asCalendar(reply, await calendarOf(db, site, publicOrigin));
    },
  );
}
