import { and, eq, sql } from 'drizzle-orm';
import type { FastifyBaseLogger } from 'fastify';
import { format } from 'date-fns';
import { takenDown } from '#core/about/is-over.ts';
import type { Commands } from '../commands/commands.ts';
import type { Database } from '../db/connect.ts';
import { readPages } from '../db/rows/page-row.ts';
import { parts, sites } from '../db/schema.ts';

/** How often is looked; in ms. */
const everyMs = 10 * 60 * 1000;

/**
 * Takes down what its makers were free for, once its last day has gone by where this server stands: by an ordinary edit, so that
 * readers are shut out of it in its transaction, and its maker finds it among the steps of undo.
 */
export class ComingDown {
  readonly #db: Database;
  readonly #commands: Pick<Commands, 'run'>;
  readonly #log: Pick<FastifyBaseLogger, 'error'>;
  #timer: NodeJS.Timeout | undefined;
  #last: Promise<void> = Promise.resolve();

  constructor(db: Database, commands: Pick<Commands, 'run'>, log: Pick<FastifyBaseLogger, 'error'>) {
    this.#db = db;
    this.#commands = commands;
    this.#log = log;
  }

  /** Looks now, and from now on. */
  start(): void {
    this.#look();
    this.#timer = setInterval(() => this.#look(), everyMs);
    this.#timer.unref();
  }

  /** Resolves when nothing is being taken down any more. */
  async stop(): Promise<void> {
    clearInterval(this.#timer);
    await this.#last;
  }

  #look(): void {
    this.#last = this.#last
      .then(() => this.run(format(new Date(), 'yyyy-MM-dd')))
      .catch((error: unknown) => this.#log.error({ err: error }, 'what is over could not be taken down yet'));
  }

  /**
   * Takes down all that was over before a day.
   *
   * @param today as ISO 8601 writes a day
   */
  async run(today: string): Promise<void> {
    const of = (field: string) => sql`${parts.content} ->> ${field}`;
    const over = await this.#db
      .selectDistinct({ site: sites.id, account: sites.accountId, page: parts.pageId })
      .from(parts)
      .innerJoin(sites, eq(sites.id, parts.siteId))
      .where(
        and(
          sql`${of('kind')} = 'availability'`,
          sql`${of('height')} <> 'private'`,
          sql`${of('to')} < ${today}`,
        ),
      );
    for (const { page, ...scope } of over) {
      const taken = this.#commands.run(
        scope,
        { label: 'Free for came down: its last day is over' },
        async (running) => {
          const [found] = await readPages(running.tx, scope.site, [page]);
          const left = found && takenDown(found.row, today);
          if (left) await running.update('page', page, { parts: left });
        },
      );
      // What stands in the way of one keeps no other up.
      await taken.catch((error: unknown) =>
        this.#log.error({ err: error, ...scope }, 'what is over could not be taken down yet'),
      );
    }
  }
}
