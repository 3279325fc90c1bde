import type { Id } from '#core/id.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import { hadNow } from '../sites/had-now.ts';
import { draftAt } from '../sites/load-draft.ts';
import type { PublishJob, PublishJobs } from './jobs.ts';
import type { PublishDeps } from './made-files.ts';
import { publish } from './publish.ts';

export interface PublishSiteDeps extends PublishDeps {
  open: Pick<PublicSites, 'forget'>;
  /** Told of a site whose readers have something else from now on. */
  published: (site: string) => void;
  jobs: PublishJobs;
}

/**
 * Begins to publish a site as its draft stands now; one publish at a time. After it no process answers with what readers had before.
 *
 * @param staying pages that are to stay as readers have them
 * @param live what its maker is told then
 */
export async function publishSite(
  { open, published, jobs, ...deps }: PublishSiteDeps,
  { account, site: id }: { account: string; site: string },
  { name, staying }: { name: string; staying: readonly Id[] },
  live: () => Promise<PublishJob['live']>,
  onFailure: (error: unknown) => void,
): Promise<PublishJob> {
  const { site, ...draft } = await draftAt(deps.db, account, id);
  const had = staying.length > 0 ? await hadNow(deps.db, site) : null;
  const kept = { had: had?.now ?? null, pages: new Set(staying) };
  return jobs.start(
    id,
    async (progress, signal) => {
      await publish(deps, draft, name, progress, signal, kept);
      await open.forget([id]);
      published(id);
      return live();
    },
    onFailure,
  );
}
