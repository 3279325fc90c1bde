import type { FastifyBaseLogger } from 'fastify';
import type { Database } from '../db/connect.ts';
import { type Edit, edit, type EditResult } from '../db/edit.ts';
import { redo, type Stepped, undo, type Wanted } from '../db/history.ts';
import type { Preparing } from '../publish/preparing.ts';
import type { Tidying } from '../publish/tidying.ts';
import type { PublicSites } from '../serve/public-sites.ts';

export interface Scope {
  site: string;
  account: string;
}

export interface CommandDeps {
  db: Database;
  open: Pick<PublicSites, 'forget'>;
  /** Makes releases without what was closed, so that readers have the rest of a page as well. */
  tidying: Pick<Tidying, 'run' | 'later'>;
  /** Makes what a publish of the site will need. */
  preparing?: Pick<Preparing, 'later'> | null;
  log?: Pick<FastifyBaseLogger, 'error'>;
}

/**
 * Every write of a maker goes through here, and through nothing else: the edit, in whose transaction everything that lies
 * lower afterwards is closed to readers; then all processes forget what was open; then a narrower release is made. After
 * the first of the three readers are shut out for good; the second makes that so for answers kept in memory, and the third
 * only gives back what need not have been shut. Raising is not done here at all: it waits for publishing.
 */
export class Commands {
  readonly #deps: CommandDeps;

  constructor(deps: CommandDeps) {
    this.#deps = deps;
  }

  /** @see edit */
  async run(
    scope: Scope,
    what: { label: string; mergeKey?: string | undefined },
    work: (edit: Edit) => Promise<void>,
  ): Promise<EditResult> {
    return this.#settled(scope, await edit(this.#deps.db, scope, what, work));
  }

  /** @see undo */
  async undo(scope: Scope, wanted: Wanted): Promise<Stepped> {
    return this.#settled(scope, await undo(this.#deps.db, scope, wanted));
  }

  /** @see redo */
  async redo(scope: Scope, wanted: Wanted): Promise<Stepped> {
    return this.#settled(scope, await redo(this.#deps.db, scope, wanted));
  }

  async #settled<R extends EditResult>({ site }: Scope, result: R): Promise<R> {
    const { concerns } = result;
    if (result.changes.length > 0) this.#deps.preparing?.later(site);
    if (concerns.length === 0) return result;
    await this.#deps.open.forget(concerns);
    for (const other of concerns) if (other !== site) this.#deps.tidying.later(other);
    try {
      await this.#deps.tidying.run(site);
    } catch (error) {
      // A full disk, say: what was closed is closed all the same, and tidying is tried again.
      this.#deps.log?.error({ err: error, site }, 'a narrower release could not be made yet');
    }
    return result;
  }
}
