import type { FastifyBaseLogger } from 'fastify';
import { vacuum } from '../db/vacuum.ts';
import { dropDeletedComments } from '../comments/comment-rows.ts';
import { dropDeleted } from '../messages/box.ts';
import { sweep, type SweepDeps } from './sweep.ts';

/** A minute after the start, when whoever comes first has been served, and once a day from then on; in ms. */
const firstMs = 60_000;
const everyMs = 24 * 60 * 60 * 1000;

/** Sweeps the store and the database from time to time while a server runs. */
export class Sweeping {
  readonly #deps: SweepDeps;
  readonly #log: Pick<FastifyBaseLogger, 'error'>;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #running: Promise<unknown> = Promise.resolve();

  constructor(deps: SweepDeps, log: Pick<FastifyBaseLogger, 'error'>) {
    this.#deps = deps;
    this.#log = log;
  }

  start(afterMs = firstMs): void {
    this.#timer = setTimeout(() => {
      this.#running = sweep(this.#deps)
        .then(() => dropDeleted(this.#deps.db))
        .then(() => dropDeletedComments(this.#deps.db, new Date()))
        .then(() => vacuum(this.#deps.db))
        .catch((error: unknown) => this.#log.error({ err: error }, 'sweeping'));
      void this.#running.then(() => this.start(everyMs));
    }, afterMs);
    this.#timer.unref();
  }

  /** Resolves when nothing is swept any more. */
  async stop(): Promise<void> {
    clearTimeout(this.#timer);
    await this.#running;
    clearTimeout(this.#timer);
  }
}
