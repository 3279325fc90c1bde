import { sql } from 'drizzle-orm';
import type { FastifyBaseLogger } from 'fastify';
import { takenDown } from '#core/about/is-over.ts';
import type { Commands } from '../commands/commands.ts';
import type { Database } from '../db/connect.ts';
import { readPages } from '../db/rows/page-row.ts';
import { parts } from '../db/schema.ts';
import { accountOf } from './site-rows.ts';

/**
 * Takes down what its makers were free for, once its last day has gone by where this server stands: by an ordinary edit, so that
 * readers are shut out of it in its transaction, and its maker finds it among the steps of undo.
 */
export class ComingDown {
  readonly #db: Database;
  readonly #commands: Pick<Commands, 'run'>;
  readonly #log: Pick<FastifyBaseLogger, 'error'>;

  constructor(db: Database, commands: Pick<Commands, 'run'>, log: Pick<FastifyBaseLogger, 'error'>) {
    this.#db = db;
    this.#commands = commands;
    this.#log = log;
  }

  /**
   * Takes down all that was over before a day.
   *
   * @param today as ISO 8601 writes a day
   */
  async run(today: string): Promise<void> {
    // Written out as its index has it.
    const { content } = parts;
    const over = await this.#db
      .selectDistinct({ site: parts.siteId, page: parts.pageId })
      .from(parts)
      .where(
        sql`${content} ->> 'kind' = 'availability' and ${content} ->> 'height' <> 'private' and ${content} ->> 'to' < ${today}`,
      );
    for (const { page, site } of over) {
      const scope = { site, account: await accountOf(this.#db, site) };
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
