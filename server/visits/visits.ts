import { accountBehind } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { accountOf } from '../sites/site-rows.ts';
import { VisitCounts } from './visit-counts.ts';
import type { Visit } from './visit-in.ts';
import { addVisits } from './visit-rows.ts';

/** Counts how often pages of sites are opened, and writes it down now and then. A maker's own visits are not counted. */
export class Visits {
  readonly #counts = new VisitCounts();
  readonly #running = new Set<Promise<void>>();
  readonly #db: Database;
  readonly #now: () => Date;

  constructor(db: Database, now: () => Date) {
    this.#db = db;
    this.#now = now;
  }

  /** Counts behind whoever opens something. */
  see(visit: Visit): void {
    const counting = this.#see(visit)
      // A visit that could not be told from its maker's own is none.
      .catch(() => undefined)
      .finally(() => this.#running.delete(counting));
    this.#running.add(counting);
  }

  async #see({ seen, from, agent, token }: Visit): Promise<void> {
    const account = token === null ? null : await accountBehind(this.#db, token);
    if (account !== null && account === (await accountOf(this.#db, seen.site))) return;
    this.#counts.see(seen, { from, agent }, this.#now());
  }

  /** Writes down what was counted so far. */
  async flush(): Promise<void> {
    await Promise.all(this.#running);
    const counts = this.#counts.take();
    try {
      await addVisits(this.#db, counts);
    } catch (error) {
      this.#counts.putBack(counts);
      throw error;
    }
  }
}
