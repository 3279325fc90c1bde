import { isbot } from 'isbot';
import { createHash, randomBytes } from 'node:crypto';
import { ofAll } from '#core/visits/visit-totals.ts';

/** What was opened. */
export interface Seen {
  site: string;
  /** The link's name; see `givenLinkName`. */
  link: string;
  path: string;
}

/** Who opened it, as far as a request tells. Nothing of it is kept. */
export interface SeenBy {
  /** Address it came from. */
  from: string;
  agent: string;
}

export interface VisitCount extends Seen {
  day: string;
  visits: number;
  visitors: number;
}

/** So many different visitors are told apart on a day; more are counted as visits only. */
const mostVisitors = 200_000;

/**
 * Counts visits in memory until they are taken. Visitors are told apart for the length of a day by a hash of where they come from and
 * what they read with; the salt of that hash is made up each day and kept nowhere, so that what is known of a day cannot be told of the
 * next one, nor after a restart. Only numbers leave this place.
 */
export class VisitCounts {
  #day = '';
  #salt = Buffer.alloc(0);
  readonly #known = new Set<string>();
  readonly #counts = new Map<string, VisitCount>();

  /** Counts one, unless it comes from a program that says that it is one, or says nothing. */
  see({ site, link, path }: Seen, { from, agent }: SeenBy, now: Date): void {
    if (agent === '' || isbot(agent)) return;
    const day = now.toISOString().slice(0, 10);
    if (day !== this.#day) {
      this.#day = day;
      this.#salt = randomBytes(32);
      this.#known.clear();
    }
    const who = createHash('sha256')
      .update(this.#salt)
      .update(JSON.stringify([from, agent]))
      .digest('base64');
    for (const of of [
      { site, link, path },
      { site, link: ofAll, path: ofAll },
    ]) {
      const key = JSON.stringify([day, of.site, of.link, of.path]);
      const count = this.#counts.get(key) ?? { ...of, day, visits: 0, visitors: 0 };
      count.visits += 1;
      count.visitors += this.#isNew(`${who} ${key}`) ? 1 : 0;
      this.#counts.set(key, count);
    }
  }

  #isNew(visitor: string): boolean {
    if (this.#known.has(visitor) || this.#known.size >= mostVisitors) return false;
    this.#known.add(visitor);
    return true;
  }

  /** What was counted since it was last taken. */
  take(): VisitCount[] {
    const taken = [...this.#counts.values()];
    this.#counts.clear();
    return taken;
  }

  /** What was taken and could not be kept is counted on. */
  putBack(counts: readonly VisitCount[]): void {
    for (const one of counts) {
      const key = JSON.stringify([one.day, one.site, one.link, one.path]);
      const { visits = 0, visitors = 0 } = this.#counts.get(key) ?? {};
      this.#counts.set(key, { ...one, visits: one.visits + visits, visitors: one.visitors + visitors });
    }
  }
}
