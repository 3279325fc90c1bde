import type { FastifyInstance } from 'fastify';
import {
  bringBackRelease,
  cancelPublish,
  getPublishJob,
  listReleases,
  startPublish,
} from '#contract/publishing.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { notFound } from '../http/problem.ts';
import type { PassTrees } from '../passes/pass-trees.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import { liveStatement } from '../sites/live-statement.ts';
import { draftAt, loadDraft, ownSite } from '../sites/load-draft.ts';
import { studioMemory } from '../sites/studio-memory.ts';
import { PublishJobs } from './jobs.ts';
import { bringBack } from './bring-back.ts';
import type { PublishDeps } from './made-files.ts';
import { publish } from './publish.ts';
import { releaseNumbered, releasesOf } from './release-rows.ts';

/** Pages that readers have by now: only those that they never had can be kept back. */
async function releasedPages(db: Database, site: string, live: number | null): Promise<Set<string>> {
  const source = live === null ? null : await studioMemory(db).released.load(db, site, live);
  return new Set(source?.pages.map(({ id }) => id));
}

export function publishRoutes(
  app: FastifyInstance,
  deps: PublishDeps & { open: PublicSites; trees: PassTrees },
): void {
  const { db, open, trees } = deps;
  const jobs = new PublishJobs();
  const liveNow = async (account: string, id: string) => {
    const site = await ownSite(db, account, id);
    return liveStatement(db, site, await loadDraft(db, site));
  };

  handle(app, startPublish, async ({ params, body }, request) => {
    const account = makerOf(request).id;
    const { site, ...draft } = await draftAt(db, account, params.site);
    const had = await releasedPages(db, site.id, site.liveRelease);
    const notYet = new Set(body.notYet.filter((page) => !had.has(page)));
    return jobs.start(
      site.id,
      async (progress, signal) => {
        await publish(deps, draft, body.name, progress, signal, notYet);
        await open.forget([site.id]);
        trees.ahead(site.id);
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
    const rows = await releasesOf(db, site.id);
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
    const release = await releaseNumbered(db, site.id, params.number);
    if (release === null) throw notFound('This release');
    await bringBack(deps, site.id, release);
    await open.forget([site.id]);
    trees.ahead(site.id);
    return liveNow(account, site.id);
  });
}
