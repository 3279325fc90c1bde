import type { FastifyBaseLogger } from 'fastify';
import { eq } from 'drizzle-orm';
import { findingsAt, outsiderFindings } from '#core/outsider/findings.ts';
import type { Finding, OutsiderWhy, TriedWay } from '#core/outsider/outsider-test.ts';
import type { Database } from '../db/connect.ts';
import { newKey } from '../db/new-id.ts';
import { sites } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { askWhetherItAnswers } from '../links/link-state.ts';
import type { Outgoing } from '../links/outgoing.ts';
import { asking } from './asking.ts';
import { keepTest } from './outsider-rows.ts';
import { tryWays } from './try-ways.ts';
import { waysOfSite } from './ways-of-site.ts';

interface OutsiderDeps {
  db: Database;
  secret: Buffer;
  outgoing: Outgoing;
  now: () => Date;
  /** Where this server may be reached, the likeliest first: as readers reach it, and where it listens. */
  origins: () => readonly string[];
  log: Pick<FastifyBaseLogger, 'error'>;
}

/**
 * Opens the links of sites as somebody without an account would: over HTTP, without cookies, everything that stands behind them. One
 * site at a time, so that readers notice nothing of it.
 */
export class Outsider {
  readonly #deps: OutsiderDeps;
  readonly #running = new Map<string, Promise<void>>();
  #last: Promise<void> = Promise.resolve();
  #stopped = false;
  /** By which this server knows itself when it asks around. */
  readonly #nonce = newKey();

  constructor(deps: OutsiderDeps) {
    this.#deps = deps;
  }

  isMe(nonce: string): boolean {
    return nonce === this.#nonce;
  }

  isRunning(site: string): boolean {
    return this.#running.has(site);
  }

  /** Runs the test of a site; where it is being run already, that one is the answer. */
  run(site: string, why: OutsiderWhy): Promise<void> {
    const running = this.#running.get(site);
    if (running) return running;
    const mine = this.#last.catch(() => undefined).then(() => this.#run(site, why));
    this.#last = mine;
    const known = mine.finally(() => this.#running.delete(site));
    this.#running.set(site, known);
    return known;
  }

  /** Runs it behind whoever published. */
  later(site: string): void {
    if (this.#stopped) return;
    // A run that began before saw what readers had then.
    const before = this.#running.get(site)?.catch(() => undefined) ?? Promise.resolve();
    before
      .then(() => this.run(site, 'published'))
      .catch((error: unknown) => {
        if (!this.#stopped && !(error instanceof Problem))
          this.#deps.log.error({ err: error, site }, 'a site could not be tested as an outsider');
      });
  }

  /** Begins nothing more. */
  async stop(): Promise<void> {
    this.#stopped = true;
    await this.#last.catch(() => undefined);
  }

  /** Tries one way into a site now, before something is handed in by it, beside whatever else is being tried. */
  async tryOne(id: string, which: (way: TriedWay['way']) => boolean): Promise<Finding[]> {
    const { db, secret, now } = this.#deps;
    const [site] = await db.select().from(sites).where(eq(sites.id, id));
    if (!site) return [];
    const { ask, close } = asking();
    try {
      const origin = await this.#origin(ask);
      const all = await waysOfSite(db, site, secret, now());
      const ways = all.ways.filter(({ way }) => which(way));
      const tried = await tryWays(origin, { ...all, ways, guesses: [] }, ask, () => Promise.resolve('yes'));
      const findings = tried.ways.flatMap(findingsAt);
      const asked = tried.ways.reduce((sum, way) => sum + way.asked, 0);
      await keepTest(db, id, { why: 'hand-in', release: tried.release, asked, findings });
      return findings;
    } finally {
      await close();
    }
  }

  async #run(id: string, why: OutsiderWhy): Promise<void> {
    const { db, secret, now, outgoing } = this.#deps;
    const [site] = await db.select().from(sites).where(eq(sites.id, id));
    if (!site || this.#stopped) return;
    const { ask, close } = asking();
    try {
      const origin = await this.#origin(ask);
      const ways = await waysOfSite(db, site, secret, now());
      const tried = await tryWays(
        origin,
        ways,
        // A stop does not wait for the rest of a large site.
        (url) => (this.#stopped ? Promise.resolve(null) : ask(url)),
        async (to) => {
          const { state } = await askWhetherItAnswers(outgoing, to);
          return state === 'gone' ? 'gone' : state === 'slow' || state === 'unreachable' ? 'unknown' : 'yes';
        },
      );
      if (this.#stopped) return;
      const asked = tried.ways.reduce((sum, way) => sum + way.asked, tried.guessed.length);
      await keepTest(db, id, { why, release: tried.release, asked, findings: outsiderFindings(tried) });
    } finally {
      await close();
    }
  }

  /** Where this very server answers. @throws Problem 503 where it reaches itself nowhere */
  async #origin(ask: ReturnType<typeof asking>['ask']): Promise<string> {
    for (const origin of this.#deps.origins())
      if ((await ask(`${origin}/api/here/${this.#nonce}`))?.status === 204) return origin;
    throw new Problem(
      503,
      'not-reached',
      'The server cannot reach itself, so it cannot try its links as an outsider. Whoever runs it finds more under PUBLIC_ORIGIN in the README.',
    );
  }
}
