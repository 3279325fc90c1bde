import type { FastifyInstance } from 'fastify';
import {
  addSetTime,
  bringBackRelease,
  cancelPublish,
  compareRelease,
  getPublishJob,
  listReleases,
  listSetTimes,
  publishOutlook,
  removeSetTime,
  startPublish,
} from '#contract/publishing.ts';
import { makerOf } from '../accounts/sessions.ts';
import { handle } from '../http/handle.ts';
import { notFound } from '../http/problem.ts';
import type { Insides } from '../inside/insides.ts';
import { differences } from '#core/release/differences.ts';
import { hadNow } from '../sites/had-now.ts';
import { liveStatement } from '../sites/live-statement.ts';
import { draftAt, loadDraft, ownSite } from '../sites/load-draft.ts';
import { studioMemory } from '../sites/studio-memory.ts';
import { bringBack } from './bring-back.ts';
import { outlook } from './outlook.ts';
import { publishSite, type PublishSiteDeps } from './publish-site.ts';
import { releaseNumbered, releasesOf } from './release-rows.ts';
import {
  addSetTime as addSetTimeRow,
  removeSetTime as removeSetTimeRow,
  setTimesOf,
} from './set-time-rows.ts';

export function publishRoutes(
  app: FastifyInstance,
  deps: PublishSiteDeps & { insides: Insides; now: () => Date },
): void {
  const { db, open, published, jobs, now } = deps;
  const liveNow = async (account: string, id: string) => {
    const site = await ownSite(db, account, id);
    return liveStatement(db, site, await loadDraft(db, site));
  };

  handle(app, startPublish, async ({ params, body }, request) => {
    const account = makerOf(request).id;
    return publishSite(
      deps,
      { account, site: params.site },
      body,
      () => liveNow(account, params.site),
      (error) => request.log.error(error),
    );
  });

  handle(app, publishOutlook, async ({ params, body }, request) => {
    const { site, draft } = await draftAt(db, makerOf(request).id, params.site);
    return outlook(deps, site, draft, body.staying, now());
  });

  handle(app, compareRelease, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    const had = await hadNow(db, site);
    const release = await releaseNumbered(db, site.id, params.number);
    const source = release && (await studioMemory(db).released.load(db, site.id, release));
    if (!source) throw notFound('This release');
    return differences(had?.now ?? null, source);
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
    published(site.id);
    return liveNow(account, site.id);
  });
  handle(app, listSetTimes, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    return { times: await setTimesOf(db, site.id, now()) };
  });

  handle(app, addSetTime, async ({ params, body }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await addSetTimeRow(db, site.id, body, now());
    return { times: await setTimesOf(db, site.id, now()) };
  });

  handle(app, removeSetTime, async ({ params }, request) => {
    const site = await ownSite(db, makerOf(request).id, params.site);
    await removeSetTimeRow(db, site.id, params.time);
    return { times: await setTimesOf(db, site.id, now()) };
  });
}
