import { and, eq, inArray, type SQL } from 'drizzle-orm';
import { type Candidate, type ContactSheet, contactSheet } from '#core/gallery/contact-sheet.ts';
import { type Comparable, lookAlikes } from '#core/gallery/look-alikes.ts';
import type { PictureFeatures } from '#core/gallery/picture-features.ts';
import { shownSize } from '#core/gallery/fixed-frame.ts';
import { pictureWarnings, type Warning } from '#core/gallery/picture-quality.ts';
import { LRUCache } from 'lru-cache';
import type { LimitFunction } from 'p-limit';
import type { Database } from '../db/connect.ts';
import { materials, pictureFeatures } from '../db/schema.ts';
import type { BlobStore } from './blob-store.ts';
import { previewHash } from './previews.ts';
import { featuresVersion, readFeatures } from './read-features.ts';

interface LookDeps {
  db: Database;
  blobs: BlobStore;
  looking: LimitFunction;
}

export interface LookedAt {
  unread: number;
  groups: string[][];
  warnings: Record<string, Warning[]>;
}

/** Pictures read in one go; then the next request is answered with what is known. */
const atATime = 40;
/** Groups of this many makers are remembered. */
const remembered = 50;

/**
 * Tells a maker's pictures apart. Reading happens here, after import and not in it, so that a drop of many files is taken
 * as fast as before; every request reads some of what is unread and answers with all that is known.
 */
export class PictureLook {
  readonly #deps: LookDeps;
  /** The last answer for an account, with the originals it was made from. */
  readonly #known = new LRUCache<string, { of: string; groups: string[][] }>({ max: remembered });
  readonly #running = new Map<string, Promise<LookedAt>>();

  constructor(deps: LookDeps) {
    this.#deps = deps;
  }

  /** Two tabs that ask at the same time get one and the same work. */
  at(account: string): Promise<LookedAt> {
    const running = this.#running.get(account);
    if (running) return running;
    const looking = this.#look(account).finally(() => this.#running.delete(account));
    this.#running.set(account, looking);
    return looking;
  }

  /** Candidates for a gallery, with a varied set proposed. What cannot be read is there and is not proposed. */
  async contactSheet(account: string, ids: readonly string[], size: number): Promise<ContactSheet> {
    const { groups } = await this.at(account);
    const rows = await this.#rows(and(eq(materials.accountId, account), inArray(materials.id, [...ids])));
    const fresh = await this.#read(rows.flatMap((row) => (row.features ? [] : [row.original])));
    const byId = new Map(rows.map((row) => [row.id, row]));
    const candidates = ids.flatMap((id): Candidate[] => {
      const row = byId.get(id);
      if (!row || !('widthPx' in row.facts)) return [];
      const features = row.features ?? fresh.get(row.original) ?? null;
      const { takenOn, tags } = row;
      return [{ id, size: shownSize(row.facts, row.fixes), features, takenOn, tags }];
    });
    return contactSheet(candidates, groups, size);
  }

  #rows(where: SQL | undefined) {
    return this.#deps.db
      .select({
        id: materials.id,
        original: materials.original,
        facts: materials.facts,
        fixes: materials.fixes,
        takenOn: materials.takenOn,
        tags: materials.tags,
        features: pictureFeatures.features,
      })
      .from(materials)
      .leftJoin(
        pictureFeatures,
        and(eq(pictureFeatures.original, materials.original), eq(pictureFeatures.version, featuresVersion)),
      )
      .where(and(where, eq(materials.kind, 'picture')))
      .orderBy(materials.createdAt, materials.id);
  }

  async #look(account: string): Promise<LookedAt> {
    const rows = await this.#rows(eq(materials.accountId, account));
    const unread = rows.filter(({ features }) => features === null);
    const fresh = await this.#read(unread.slice(0, atATime).map(({ original }) => original));
    const known = rows.map((row) => ({ ...row, features: row.features ?? fresh.get(row.original) ?? null }));

    const warnings: Record<string, Warning[]> = {};
    for (const { id, facts, fixes, features } of known) {
      if (!('widthPx' in facts)) continue;
      const found = pictureWarnings(shownSize(facts, fixes), features);
      if (found.length > 0) warnings[id] = found;
    }
    return {
      // One that could not be read is not asked for again and again; its size is judged all the same.
      unread: Math.max(0, unread.length - atATime),
      // While some are still to be read, grouping would only be done again in a moment.
      groups: unread.length > atATime ? [] : this.#groups(account, known),
      warnings,
    };
  }

  #groups(account: string, known: { id: string; features: PictureFeatures | null }[]): string[][] {
    const read = known.flatMap(({ id, features }): Comparable[] =>
      features
        ? [{ id, hash: features.hash, shape: features.shape, square: Buffer.from(features.square, 'base64') }]
        : [],
    );
    const of = read.map(({ id }) => id).join();
    const last = this.#known.get(account);
    if (last?.of === of) return last.groups;
    const groups = lookAlikes(read);
    this.#known.set(account, { of, groups });
    return groups;
  }

  async #read(originals: readonly string[]): Promise<Map<string, PictureFeatures>> {
    const { db, looking } = this.#deps;
    const read = new Map<string, PictureFeatures>();
    if (originals.length === 0) return read;
    await Promise.all(
      originals.map((original) =>
        looking(async () => {
          const preview = await this.#preview(original);
          const features = preview && (await readFeatures(preview).catch(() => null));
          if (features) read.set(original, features);
        }),
      ),
    );
    if (read.size === 0) return read;
    await db
      .insert(pictureFeatures)
      .values([...read].map(([original, features]) => ({ original, version: featuresVersion, features })))
      .onConflictDoNothing();
    return read;
  }

  async #preview(original: string): Promise<Buffer | null> {
    const hash = await previewHash(this.#deps.db, original, 480);
    return hash ? this.#deps.blobs.read(hash) : null;
  }
}
