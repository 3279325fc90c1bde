import { LRUCache } from 'lru-cache';
import { and, eq, isNull, max, sql } from 'drizzle-orm';
import { seenBy } from '#core/access/seen-by.ts';
import type { FileTree } from '#core/release/manifest.ts';
import { viewerOfLook } from '#core/second-look/looked-at-as.ts';
import type { Database } from '../db/connect.ts';
import { materials, passes, sites } from '../db/schema.ts';
import { entranceTree, makeFiles, type PublishDeps } from '../publish/made-files.ts';
import { draftAt } from '../sites/load-draft.ts';
import { keepTree, type LookHead, treeOfLook } from './look-rows.ts';

/** How often a draft that is being written is made anew for one request, before whoever asks is told to wait. */
const tries = 4;

export interface LookedAt {
  look: LookHead;
  account: string;
}

/**
 * Names everything that what a second look shows is made of: whatever is edited, raised, lowered or undone gives another name. A
 * renderer of another version makes it anew as well.
 */
async function draftStamp(
  db: Database,
  { look, account }: LookedAt,
  version: string,
): Promise<string | null> {
  const { siteId, as } = look;
  const [site] = await db
    .select({
      revision: sites.revision,
      ofMaterials: sql<number | null>`(${db
        .select({ revision: max(materials.revision) })
        .from(materials)
        .where(eq(materials.accountId, account))})`,
      materials: sql<number>`(${db
        .select({ count: sql`count(*)` })
        .from(materials)
        .where(eq(materials.accountId, account))})`,
    })
    .from(sites)
    .where(eq(sites.id, siteId));
  if (!site) return null;
  const pass = as.kind === 'pass' ? await passOfLook(db, siteId, as.pass) : null;
  return JSON.stringify([version, site, pass]);
}

async function passOfLook(db: Database, site: string, id: string) {
  const [pass] = await db
    .select({ opens: passes.opens, mayDownload: passes.mayDownload })
    .from(passes)
    .where(and(eq(passes.siteId, site), eq(passes.id, id), isNull(passes.deletedAt)));
  return pass ?? null;
}

/**
 * What somebody gets of a draft that they look at for its maker: the files that its chosen reader would get with the next publish, made
 * by the same code as a release, so that pictures are as stripped and documents as blacked out. It is made of the draft as it is when it
 * is asked for; what is lowered meanwhile is asked once more when it is made.
 */
export class LookTrees {
  readonly #deps: PublishDeps;
  readonly #known = new LRUCache<string, FileTree>({ max: 20 });
  readonly #making = new Map<string, Promise<FileTree | null>>();
  readonly #stopped = new AbortController();

  constructor(deps: PublishDeps) {
    this.#deps = deps;
  }

  stop(): void {
    this.#stopped.abort(new Error('The server is stopping.'));
  }

  /** @returns null where its reader would get nothing; `making` where the draft is written faster than it can be made */
  async of(at: LookedAt): Promise<FileTree | 'making' | null> {
    const { db, rendererVersion } = this.#deps;
    for (let n = 0; n < tries; n++) {
      const stamp = await draftStamp(db, at, rendererVersion);
      if (stamp === null) return null;
      const name = `${at.look.id} ${stamp}`;
      const known = this.#known.get(name) ?? (await treeOfLook(db, at.look.id, stamp));
      if (known) {
        this.#known.set(name, known);
        return known;
      }
      const making = this.#making.get(name) ?? this.#make(at, stamp);
      this.#making.set(name, making);
      const tree = await making.finally(() => this.#making.delete(name));
      // Making it may have taken long: whatever was lowered meanwhile is not shown.
      if ((await draftStamp(db, at, rendererVersion)) === stamp) return tree;
    }
    return 'making';
  }

  async #make({ look, account }: LookedAt, stamp: string): Promise<FileTree | null> {
    const { db } = this.#deps;
    const { draft } = await draftAt(db, account, look.siteId);
    const pass = look.as.kind === 'pass' ? await passOfLook(db, look.siteId, look.as.pass) : null;
    const viewer = viewerOfLook(look.as, pass);
    const view = viewer && seenBy(draft, viewer);
    if (!view) return null;
    const made = await makeFiles(this.#deps, [view], [], account, () => {}, this.#stopped.signal);
    // A key never stands in a page, and its links have no pictures.
    const tree = await entranceTree(this.#deps, view, made, { base: null, sharesBelow: null }, () => {});
    await keepTree(db, look.id, stamp, tree);
    return tree;
  }
}
