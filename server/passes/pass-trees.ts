import { createHash } from 'node:crypto';
import { and, eq, gt, isNotNull, isNull, notInArray, or, sql } from 'drizzle-orm';
import type { FastifyBaseLogger } from 'fastify';
import { seenBy } from '#core/access/seen-by.ts';
import { passViewer, type PassViewer, passViewerKey } from '#core/passes/pass-viewer.ts';
import type { FileTree } from '#core/release/manifest.ts';
import type { Transaction } from '../db/connect.ts';
import type { Draft } from '#core/sites/site.ts';
import type { KeptDraft } from '#core/stored/draft-pieces.ts';
import { sourceOf } from '../db/release-source.ts';
import { passes, passTrees, releases, sites } from '../db/schema.ts';
import { accountOf } from '../sites/site-rows.ts';
import { entranceTree, makeFiles, type PublishDeps } from '../publish/made-files.ts';

/** Of more different ones than this, those of a site are made only when somebody asks. */
const madeAhead = 8;

/** The release that readers of a site have. */
interface LiveRelease {
  id: number;
  site: string;
  source: KeptDraft;
  /** The same without what was closed since, where it is to be made of that. */
  without?: Draft | undefined;
}

const hashOf = (text: string): string => createHash('sha256').update(text).digest('base64url');

/** Ids of the releases that somebody can have: the live one, and those that passes keep. */
async function releasesHad(tx: Transaction, site: string): Promise<number[]> {
  const [row] = await tx.select({ live: sites.liveRelease }).from(sites).where(eq(sites.id, site));
  const kept = await tx
    .selectDistinct({ release: passes.pinned })
    .from(passes)
    .where(and(eq(passes.siteId, site), isNotNull(passes.pinned)));
  return [row?.live ?? null, ...kept.map(({ release }) => release)].filter((id) => id !== null);
}

/**
 * What holders of passes get of a release: the same files in the same way as any entrance, but made after the release, so that a
 * hundred passes make no publish slow. Passes that open the same share them. They are made of the release's own copy, so they are never
 * newer or older than what other readers have, and what was closed since is closed at the door.
 */
export class PassTrees {
  readonly #deps: PublishDeps;
  readonly #log: Pick<FastifyBaseLogger, 'error'>;
  readonly #making = new Map<string, Promise<FileTree | null>>();
  readonly #stopped = new AbortController();
  #ahead: Promise<void> = Promise.resolve();

  constructor(deps: PublishDeps, log: Pick<FastifyBaseLogger, 'error'>) {
    this.#deps = deps;
    this.#log = log;
  }

  /** Begins nothing more. What is being made is given up with the processes that make it. */
  stop(): void {
    this.#stopped.abort(new Error('The server is stopping.'));
  }

  /** The files of an entrance; null where it shows nothing. */
  async of(live: LiveRelease, viewer: PassViewer): Promise<FileTree | null> {
    const { without } = live;
    const opens = `${hashOf(passViewerKey(viewer))}${without ? `.${hashOf(JSON.stringify(without))}` : ''}`;
    const [known] = await this.#deps.db
      .select({ tree: passTrees.tree })
      .from(passTrees)
      .where(and(eq(passTrees.releaseId, live.id), eq(passTrees.opens, opens)));
    if (known) return known.tree;
    const name = `${live.id} ${opens}`;
    const making = this.#making.get(name) ?? this.#make(live, viewer, opens);
    this.#making.set(name, making);
    return making.finally(() => this.#making.delete(name));
  }

  /** Makes what holders of a site's passes will ask for, behind whoever published or made a pass. */
  ahead(site: string): void {
    this.#ahead = this.#ahead
      .then(() => this.#makeAll(site))
      .catch((error: unknown) => {
        if (!this.#stopped.signal.aborted) this.#log.error({ err: error }, 'passes could not be prepared');
      });
  }

  async #makeAll(site: string): Promise<void> {
    const { db } = this.#deps;
    const [live] = await db
      .select({ id: releases.id, site: releases.siteId, source: releases.source })
      .from(sites)
      .innerJoin(releases, eq(releases.id, sites.liveRelease))
      .where(eq(sites.id, site));
    if (!live) return;
    const wanted = await db
      .select({ opens: passes.opens, mayDownload: passes.mayDownload })
      .from(passes)
      .where(
        and(
          eq(passes.siteId, site),
          eq(passes.on, true),
          isNull(passes.deletedAt),
          isNull(passes.pinned),
          or(isNull(passes.closesAt), gt(passes.closesAt, new Date())),
        ),
      );
    const viewers = new Map(wanted.map(passViewer).map((viewer) => [passViewerKey(viewer), viewer]));
    if (viewers.size > madeAhead) return;
    for (const viewer of viewers.values()) {
      if (this.#stopped.signal.aborted) return;
      await this.of(live, viewer);
    }
  }

  async #make(live: LiveRelease, viewer: PassViewer, opens: string): Promise<FileTree | null> {
    const { db } = this.#deps;
    const view = seenBy(live.without ?? (await sourceOf(db, live.site, live.source)), viewer);
    if (!view) return null;
    const account = await accountOf(db, live.site);
    const made = await makeFiles(this.#deps, [view], [], account, () => {}, this.#stopped.signal);
    // A key never stands in a page, and its links have no pictures.
    const tree = await entranceTree(this.#deps, view, made, { base: null, sharesBelow: null }, () => {});
    await db.transaction(async (tx) => {
      // Of releases that nobody has any more nothing is kept: one that is brought back is made of pages that are there.
      const had = await releasesHad(tx, live.site);
      if (!had.includes(live.id)) return;
      await tx
        .delete(passTrees)
        .where(and(eq(passTrees.siteId, live.site), notInArray(passTrees.releaseId, had)));
      // Of what was narrower before nothing is wanted any more.
      const [ofViewer = ''] = opens.split('.');
      if (live.without)
        await tx
          .delete(passTrees)
          .where(
            and(eq(passTrees.releaseId, live.id), sql`starts_with(${passTrees.opens}, ${`${ofViewer}.`})`),
          );
      await tx
        .insert(passTrees)
        .values({ releaseId: live.id, siteId: live.site, opens, tree })
        .onConflictDoNothing();
    });
    return tree;
  }
}
