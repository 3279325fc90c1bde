import type { FastifyBaseLogger } from 'fastify';

interface Task {
  everyMs: number;
  /** Said in the log where it fails. */
  what: string;
  run: () => Promise<void>;
  last: Promise<void>;
}

/**
 * What the server does by the clock and not because somebody asks: each task at its own pace, never twice at a time, and none keeps
 * another one up.
 */
export class Clockwork {
  readonly #tasks: Task[] = [];
  readonly #timers: NodeJS.Timeout[] = [];
  #log: Pick<FastifyBaseLogger, 'error'> | null = null;

  /** @param what is done, for the log */
  every(everyMs: number, what: string, run: () => Promise<void>): void {
    this.#tasks.push({ everyMs, what, run, last: Promise.resolve() });
  }

  /** Looks now, and from now on. */
  start(log: Pick<FastifyBaseLogger, 'error'>): void {
    this.#log = log;
    for (const task of this.#tasks) {
      void this.#look(task);
      const timer = setInterval(() => void this.#look(task), task.everyMs);
      timer.unref();
      this.#timers.push(timer);
    }
  }

  /** Does everything that is due now. */
  async look(): Promise<void> {
    for (const task of this.#tasks) await this.#look(task);
  }

  /** Begins nothing more; resolves when nothing is being done. */
  async stop(): Promise<void> {
    for (const timer of this.#timers.splice(0)) clearInterval(timer);
    await Promise.all(this.#tasks.map(({ last }) => last));
  }

  #look(task: Task): Promise<void> {
    task.last = task.last
      .then(task.run)
      .catch((error: unknown) => this.#log?.error({ err: error }, `${task.what} could not be done yet`));
    return task.last;
  }
}
