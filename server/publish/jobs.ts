import type { PublishJob } from '#contract/publishing.ts';

import { newId } from '../db/new-id.ts';
import { Problem } from '../http/problem.ts';
import type { Progress } from './made-files.ts';

export type { PublishJob };

interface Job {
  site: string;
  shown: PublishJob;
  cancel: AbortController;
  settled: Promise<unknown>;
}

/** How long a finished job can still be asked about. */
const keptMs = 10 * 60_000;

/** The publishes that run or ran lately in this process; one a site at a time. */
export class PublishJobs {
  readonly #jobs = new Map<string, Job>();

  /**
   * Starts `work` in the background. `work` reports progress, gives up when the signal aborts, and returns what
   * readers see afterwards.
   */
  start(
    site: string,
    work: (progress: Progress, signal: AbortSignal) => Promise<PublishJob['live']>,
    onFailure: (error: unknown) => void,
  ): PublishJob {
    for (const other of this.#jobs.values())
      if (other.site === site && other.shown.state === 'running') return other.shown;
    const job: Job = {
      site,
      cancel: new AbortController(),
      settled: Promise.resolve(),
      shown: {
        id: newId(),
        state: 'running',
        step: 'Starting',
        done: 0,
        total: 0,
        message: null,
        live: null,
      },
    };
    this.#jobs.set(job.shown.id, job);
    const progress: Progress = (step, done, total) => Object.assign(job.shown, { step, done, total });
    job.settled = work(progress, job.cancel.signal)
      .then(
        (live) => Object.assign(job.shown, { state: 'done', live }),
        (error: unknown) => {
          if (job.cancel.signal.aborted)
            Object.assign(job.shown, {
              state: 'cancelled',
              message: 'Publishing was stopped. Readers still see what they saw before.',
            });
          else {
            onFailure(error);
            Object.assign(job.shown, {
              state: 'failed',
              message: `Publishing did not finish, and readers still see what they saw before. ${
                error instanceof Problem ? error.message : 'Try again.'
              }`,
            });
          }
        },
      )
      .finally(() => setTimeout(() => this.#jobs.delete(job.shown.id), keptMs).unref());
    return job.shown;
  }

  /** Whether a site is being published now. */
  isRunning(site: string): boolean {
    return [...this.#jobs.values()].some((job) => job.site === site && job.shown.state === 'running');
  }

  /** Resolves when a publish has come to its end, whichever that is. */
  async settled(site: string, id: string): Promise<PublishJob> {
    const shown = this.get(site, id);
    await this.#jobs.get(id)?.settled;
    return shown;
  }

  get(site: string, id: string): PublishJob {
    const job = this.#jobs.get(id);
    if (!job || job.site !== site)
      throw new Problem(
        404,
        'no-such-publish',
        'The server was started again meanwhile. Publish once more to be sure.',
      );
    return job.shown;
  }

  cancel(site: string, id: string): PublishJob {
    const shown = this.get(site, id);
    this.#jobs.get(id)?.cancel.abort();
    return shown;
  }
}
