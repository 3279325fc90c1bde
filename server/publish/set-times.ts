import type { FastifyBaseLogger } from 'fastify';
import { plural } from '#core/words/plural.ts';
import type { Commands } from '../commands/commands.ts';
import type { PublishSiteDeps } from './publish-site.ts';
import { publishSite } from './publish-site.ts';
import { accountOf } from '../sites/site-rows.ts';
import { dueTimes, type SetTimeRow, setTimeDone } from './set-time-rows.ts';

/** What is done within this is in time. */
const inTimeMs = 2 * 60_000;
/** A publish that fails is tried again so often. */
const tries = 3;

/** That something was done later than it was to be, where it was. */
function late(at: Date, now: Date): string {
  const minutes = Math.round((now.getTime() - at.getTime()) / 60_000);
  return now.getTime() - at.getTime() > inTimeMs
    ? ` ${plural(minutes, 'minute')} late: the server was not running at the time.`
    : '';
}

/**
 * Publishes and takes down at the times that makers set. A time is crossed off once it is done: what was interrupted, by a stop of the
 * server or by a power cut, is done by the next one that runs.
 */
export class SetTimes {
  readonly #deps: PublishSiteDeps & { commands: Pick<Commands, 'run'>; now: () => Date };
  readonly #log: Pick<FastifyBaseLogger, 'error'>;
  readonly #failed = new Map<string, number>();

  constructor(
    deps: PublishSiteDeps & { commands: Pick<Commands, 'run'>; now: () => Date },
    log: Pick<FastifyBaseLogger, 'error'>,
  ) {
    this.#deps = deps;
    this.#log = log;
  }

  /** Does what is due. */
  async look(): Promise<void> {
    const { db, now } = this.#deps;
    for (const time of await dueTimes(db, now())) {
      try {
        const account = await accountOf(db, time.siteId);
        const outcome = await this.#do(time, account);
        if (outcome === null) continue;
        await setTimeDone(db, time, `${outcome}${late(time.at, now())}`, now());
        this.#failed.delete(time.id);
      } catch (error) {
        // What stands in the way of one keeps no other up.
        this.#log.error({ err: error, site: time.siteId }, 'what is due could not be done yet');
      }
    }
  }

  /** @returns what came of it, in a sentence; null where it is to be tried again */
  async #do(time: SetTimeRow, account: string): Promise<string | null> {
    const scope = { site: time.siteId, account };
    if (time.does === 'take-down') {
      const { changes } = await this.#deps.commands.run(
        scope,
        { label: 'Taken down at the set time' },
        async (running) => {
          await running.update('site', time.siteId, { height: 'private' });
        },
      );
      return changes.length > 0 ? 'Taken down.' : 'It was closed already.';
    }
    const { jobs } = this.#deps;
    if (jobs.isRunning(time.siteId)) return null;
    let isMine = false;
    const started = await publishSite(
      this.#deps,
      scope,
      { name: time.name, staying: [] },
      () => {
        isMine = true;
        return Promise.resolve(null);
      },
      (error) => this.#log.error({ err: error, site: time.siteId }, 'a publish at a set time failed'),
    );
    const { state, message } = await jobs.settled(time.siteId, started.id);
    // A maker's own publish may have begun first: it may have left pages out.
    if (state === 'done') return isMine ? 'Published.' : null;
    if (state === 'cancelled') return 'It was stopped while it was published.';
    const failed = (this.#failed.get(time.id) ?? 0) + 1;
    this.#failed.set(time.id, failed);
    return failed < tries ? null : (message ?? 'Publishing did not finish.');
  }
}
