import { and, desc, eq } from 'drizzle-orm';
import type { FastifyInstance } from 'fastify';
import {
  bringBackRelease,
  cancelPublish,
  getPublishJob,
  listReleases,
  startPublish,
} from '#contract/publishing.ts';
import { makerOf } from '../accounts/sessions.ts';
import { releases, sites } from '../db/schema.ts';
import { handle } from '../http/handle.ts';
import { notFound } from '../http/problem.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import { liveStatement } from '../sites/live-statement.ts';
import { loadDraft, ownSite } from '../sites/load-draft.ts';
import { closeAtOnce } from './close-at-once.ts';
import { PublishJobs } from './jobs.ts';
import { publish, type PublishDeps } from './publish.ts';

export function publishRoutes(app: FastifyInstance, deps: PublishDeps & { open: PublicSites }): void {
  const { db, open } = deps;
  const jobs = new PublishJobs();
  const liveNow = async (account: string, id: string) => {
    const site = await ownSite(db, account, id);
    return liveStatement(db, site, await loadDraft(db, site));
  };

  handle(app, startPublish, async ({ params, body }, request) => {
    const account = makerOf(request).id;
    const site = await ownSite(db, account, params.site);
    const draft = await loadDraft(db, site);
    return jobs.start(
      site.id,
      async (progress, signal) => {
        await publish(deps, draft, body.name, progress, signal);
        await open.forget();
        return liveNow(account, site.id);
      },
      (error) => request.log.error(error),
    );
  });

  handle(app, getPublishJob, async ({ params }, request) => {
    await ownSite(db, makerOf(request).id, params.site);
    return jobs.get(params.site, params.job);
  });

  handle(app, cancelPublish, async ({ params }, request) => {
    await ownSite(db, makerOf(request).id, params.site);
    return jobs.cancel(params.site, params.job);
  });

  handle(app, listReleases, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    const rows = await db
      .select({
        id: releases.id,
        number: releases.number,
        name: releases.name,
        createdAt: releases.createdAt,
      })
      .from(releases)
      .where(eq(releases.siteId, site.id))
      .orderBy(desc(releases.number))
      .limit(100);
    return rows.map((row) => ({
      number: row.number,
      name: row.name,
      at: row.createdAt.toISOString(),
      live: row.id === site.liveRelease,
    }));
  });

  handle(app, bringBackRelease, async ({ params }, request) => {
    const account = makerOf(request).id;
    const site = await ownSite(db, account, params.site);
    const [release] = await db
      .select({ id: releases.id })
      .from(releases)
      .where(and(eq(releases.siteId, site.id), eq(releases.number, params.number)));
    if (!release) throw notFound('This release');
    await db.update(sites).set({ liveRelease: release.id }).where(eq(sites.id, site.id));
    await closeAtOnce(deps, { site: site.id, account });
    await open.forget();
    return liveNow(account, site.id);
  });
}
