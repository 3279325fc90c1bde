import { and, eq, notInArray } from 'drizzle-orm';
import type { FastifyInstance } from 'fastify';
import { askLink, listLinkAnswers, type LinkAnswer } from '#contract/quick-links.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { siteOf } from '../db/rows/site-row.ts';
import { linkAnswers } from '../db/schema.ts';
import { handle } from '../http/handle.ts';
import { ownSite } from '../sites/load-draft.ts';
import { askWhetherItAnswers } from './link-state.ts';
import type { Outgoing } from './outgoing.ts';

const told = ({ address, state, askedAt }: typeof linkAnswers.$inferSelect): LinkAnswer => ({
  to: address,
  state,
  askedAt: askedAt.toISOString(),
});

/** Whether a site's quick links answer: asked when their maker wants to know, and remembered. */
export function quickLinkRoutes(
  app: FastifyInstance,
  { db, outgoing }: { db: Database; outgoing: Outgoing },
): void {
  handle(app, listLinkAnswers, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    const rows = await db.select().from(linkAnswers).where(eq(linkAnswers.siteId, site.id));
    return { answers: rows.map(told) };
  });

  handle(
    app,
    askLink,
    async ({ params, body: { to } }, request) => {
      const site = await ownSite(db, makerOf(request).id, params.site);
      const state = await askWhetherItAnswers(outgoing, to);
      const answer = { siteId: site.id, address: to, state, askedAt: new Date() };
      // What is no link of the site any more is forgotten; what was only just typed may not be saved yet.
      const kept = [to, ...siteOf(site).quickLinks.map((link) => link.to)];
      await db
        .delete(linkAnswers)
        .where(and(eq(linkAnswers.siteId, site.id), notInArray(linkAnswers.address, kept)));
      await db
        .insert(linkAnswers)
        .values(answer)
        .onConflictDoUpdate({ target: [linkAnswers.siteId, linkAnswers.address], set: answer });
      return told(answer);
    },
    { config: { rateLimit: { max: 60, timeWindow: '1 minute' } } },
  );
}
