import type { FastifyBaseLogger } from 'fastify';
import type { PublishDeps } from './made-files.ts';
import { tidy } from './tidy.ts';

/** Before a site whose tidying failed, on a full disk say, is tried again because somebody asks for it; in ms. */
const pauseMs = 5000;

/**
 * Makes narrower releases of sites from which something was taken, one at a time for each site. Nothing depends on its
 * being done: until then readers get what is untouched of the live release, and nothing that is closed.
 */
export class Tidying {
  readonly #deps: PublishDeps;
  readonly #forget: (site: string) => Promise<void>;
  readonly #log: Pick<FastifyBaseLogger, 'error'>;
  readonly #running = new Map<string, Promise<void>>();
  readonly #failedAt = new Map<string, number>();

  constructor(
    deps: PublishDeps,
    forget: (site: string) => Promise<void>,
    log: Pick<FastifyBaseLogger, 'error'>,
  ) {
    this.#deps = deps;
    this.#forget = forget;
    this.#log = log;
  }

  /** Resolves when nothing of the site's live release lies above its ceiling any more. */
  async run(site: string): Promise<void> {
    const before = this.#running.get(site) ?? Promise.resolve();
    const mine = before
      .catch(() => undefined)
      .then(async () => {
        if (await tidy(this.#deps, site)) await this.#forget(site);
        this.#failedAt.delete(site);
      });
    this.#running.set(site, mine);
    try {
      await mine;
    } catch (error) {
      this.#failedAt.set(site, Date.now());
      throw error;
    } finally {
      if (this.#running.get(site) === mine) this.#running.delete(site);
    }
  }

  /** Somebody asked for a site that is not tidy: it is made so behind them. */
  later(site: string): void {
    if (this.#running.has(site) || Date.now() - (this.#failedAt.get(site) ?? 0) < pauseMs) return;
    this.run(site).catch((error: unknown) =>
      this.#log.error({ err: error, site }, 'a narrower release could not be made yet'),
    );
  }

  /** Resolves when nothing runs any more. */
  async settled(): Promise<void> {
    await Promise.allSettled(this.#running.values());
  }
}
