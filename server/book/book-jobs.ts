import { mkdtemp, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BookJob } from '#contract/book.ts';
import { newId } from '../db/new-id.ts';
import { Problem } from '../http/problem.ts';

/** How long a file can be fetched, in ms; then it is made again. */
const keptMs = 15 * 60_000;
/** So many are made at once on this server; others wait. */
const mostAtOnce = 2;

export type BookProgress = (step: string, done: number, total: number) => void;
/** Writes the file, and tells how far it is, which throws once it is given up. @returns letters that could not be set */
export type BookWork = (path: string, progress: BookProgress) => Promise<string[]>;

/** For which readers, on what paper, and of which files: what they get may be another thing meanwhile. */
export interface BookOf {
  link: string;
  paper: string;
  files: string;
}

const isSame = (a: BookOf, b: BookOf): boolean =>
  a.link === b.link && a.paper === b.paper && a.files === b.files;

interface Job {
  site: string;
  of: BookOf;
  shown: BookJob;
  folder: string;
  cancel: AbortController;
  settled: Promise<void>;
  forget?: NodeJS.Timeout;
}

/** The files that are being made or were lately, each in a folder of its own that goes with it. One of a site at a time. */
export class BookJobs {
  readonly #jobs = new Map<string, Job>();
  readonly #waiting: (() => void)[] = [];
  #running = 0;

  /**
   * @param of for which readers and on what paper: the same that is being made is not made twice, and another one of the
   *   site is given up, so that nobody is handed what was made for other readers
   */
  async start(
    site: string,
    of: BookOf,
    work: BookWork,
    onFailure: (error: unknown) => void,
  ): Promise<BookJob> {
    for (const job of this.#jobs.values()) {
      if (job.site !== site || job.shown.state !== 'running') continue;
      if (isSame(job.of, of) && !job.cancel.signal.aborted) return job.shown;
      job.cancel.abort();
    }
    const folder = await mkdtemp(join(tmpdir(), 'kite-wall-book-'));
    const shown: BookJob = {
      ...{
        id: newId(),
        state: 'running',
        step: 'Waiting',
        done: 0,
        total: 0,
        bytes: 0,
        missing: [],
        message: null,
      },
    };
    const cancel = new AbortController();
    const job: Job = { site, of, shown, folder, cancel, settled: Promise.resolve() };
    this.#jobs.set(shown.id, job);
    job.settled = this.#run(job, work, onFailure);
    return shown;
  }

  async #run(job: Job, work: BookWork, onFailure: (error: unknown) => void): Promise<void> {
    const { shown, cancel } = job;
    if (this.#running >= mostAtOnce) await new Promise<void>((resolve) => this.#waiting.push(resolve));
    this.#running += 1;
    const progress: BookProgress = (step, done, total) => {
      cancel.signal.throwIfAborted();
      Object.assign(shown, { step, done, total });
    };
    try {
      cancel.signal.throwIfAborted();
      const missing = await work(this.#path(job), progress);
      const { size } = await stat(this.#path(job));
      Object.assign(shown, { state: 'done', bytes: size, missing });
    } catch (error) {
      if (cancel.signal.aborted) Object.assign(shown, { state: 'cancelled' });
      else {
        if (!(error instanceof Problem)) onFailure(error);
        const message = error instanceof Problem ? error.message : 'The file could not be made. Try again.';
        Object.assign(shown, { state: 'failed', message });
      }
    } finally {
      this.#running -= 1;
      this.#waiting.shift()?.();
      job.forget = setTimeout(() => void this.#drop(job), keptMs).unref();
    }
  }

  readonly #path = ({ folder }: Job): string => join(folder, 'site.pdf');

  async #drop(job: Job): Promise<void> {
    clearTimeout(job.forget);
    this.#jobs.delete(job.shown.id);
    await rm(job.folder, { recursive: true, force: true });
  }

  #find(site: string, id: string): Job {
    const job = this.#jobs.get(id);
    if (job?.site !== site)
      throw new Problem(404, 'no-such-file', 'This file is not kept any more. Make it again.');
    return job;
  }

  /** What is being made of what the readers of a link get now, or was last and is still there; null where that is nothing. */
  latest(site: string, { link, files }: Omit<BookOf, 'paper'>): BookJob | null {
    const theirs = [...this.#jobs.values()].filter(
      ({ site: of, of: job }) => of === site && job.link === link && job.files === files,
    );
    const shown = theirs.at(-1)?.shown;
    return shown && shown.state !== 'cancelled' ? shown : null;
  }

  get(site: string, id: string): BookJob {
    return this.#find(site, id).shown;
  }

  cancel(site: string, id: string): BookJob {
    const job = this.#find(site, id);
    job.cancel.abort();
    return job.shown;
  }

  /** Where a file lies that has been made. */
  fileOf(site: string, id: string): { path: string; bytes: number } {
    const job = this.#find(site, id);
    if (job.shown.state !== 'done') throw new Problem(409, 'not-yet', 'This file is not made yet.');
    return { path: this.#path(job), bytes: job.shown.bytes };
  }

  /** Gives up what is being made, and takes all files away. */
  async stop(): Promise<void> {
    for (const { cancel } of this.#jobs.values()) cancel.abort();
    await Promise.all([...this.#jobs.values()].map(async (job) => job.settled.then(() => this.#drop(job))));
  }
}
