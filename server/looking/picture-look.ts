import { and, eq, inArray, isNotNull, sql, type SQL } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import { type Candidate, type ContactSheet, contactSheet } from '#core/gallery/contact-sheet.ts';
import { shownSize } from '#core/gallery/fixed-frame.ts';
import { type PictureFeatures, pictureFeaturesSchema } from '#core/gallery/picture-features.ts';
import { pictureWarnings, type Warning } from '#core/gallery/picture-quality.ts';
import { patchSquarePx } from '#core/gallery/shared-patches.ts';
import type { Database } from '../db/connect.ts';
import { materials, pictureFeatures } from '../db/schema.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { previewHash } from '../media/previews.ts';
import type { Looking } from './looking.ts';
import { featuresVersion } from './read-features.ts';

interface LookDeps {
  db: Database;
  blobs: BlobStore;
  looking: Looking;
}

export interface LookedAt {
  unread: number;
  groups: string[][];
  warnings: Record<string, Warning[]>;
}

/** What a picture's quality is judged by. */
type Quality = Pick<PictureFeatures, 'blur' | 'mean' | 'bright'>;

/** Pictures read in one go; then the next request is answered with what is known. */
const atATime = 40;
/** Groups of this many makers are remembered, and the quality of this many pictures. */
const rememberedMakers = 50;
const rememberedPictures = 50_000;
/** Features are fetched for so many at a time: the database answers one question after the other, and they are long. */
const fetchedAtATime = 100;

const readNow = and(
  eq(pictureFeatures.original, materials.original),
  eq(pictureFeatures.version, featuresVersion),
);

/** Lets whatever waits go on first. */
const pause = () => new Promise((resolve) => setImmediate(resolve));

/**
 * Tells a maker's pictures apart. Reading happens here, after import and not in it, so that a drop of many files is taken
 * as fast as before; every request reads some of what is unread and answers with all that is known.
 */
export class PictureLook {
  readonly #deps: LookDeps;
  /** The last groups for an account, with the originals they were made from. */
  readonly #groups = new LRUCache<string, { of: string; groups: string[][] }>({ max: rememberedMakers });
  /** By original and never changed. */
  readonly #quality = new LRUCache<string, Quality>({ max: rememberedPictures });
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
  async contactSheet(
    account: string,
    ids: readonly string[],
    size: number,
    opening: readonly string[],
  ): Promise<ContactSheet> {
    const { groups } = await this.at(account);
    const rows = await this.#pictures(and(eq(materials.accountId, account), inArray(materials.id, [...ids])));
    await this.#read(rows.flatMap(({ read, original }) => (read ? [] : [original])));
    const features = await this.#featuresOf(rows.map(({ original }) => original));
    const byId = new Map(rows.map((row) => [row.id, row]));
    const candidates = ids.flatMap((id): Candidate[] => {
      const row = byId.get(id);
      if (!row || !('widthPx' in row.facts)) return [];
      const { takenOn, tags } = row;
      return [
        {
          id,
          size: shownSize(row.facts, row.fixes),
          features: features.get(row.original) ?? null,
          takenOn,
          tags,
        },
      ];
    });
    return contactSheet(candidates, groups, size, opening);
  }

  #pictures(where: SQL | undefined) {
    return this.#deps.db
      .select({
        id: materials.id,
        original: materials.original,
        facts: materials.facts,
        fixes: materials.fixes,
        takenOn: materials.takenOn,
        tags: materials.tags,
        read: isNotNull(pictureFeatures.original).mapWith(Boolean),
      })
      .from(materials)
      .leftJoin(pictureFeatures, readNow)
      .where(and(where, eq(materials.kind, 'picture')))
      .orderBy(materials.createdAt, materials.id);
  }

  async #look(account: string): Promise<LookedAt> {
    const pictures = await this.#pictures(eq(materials.accountId, account));
    const unread = pictures.filter(({ read }) => !read);
    await this.#read(unread.slice(0, atATime).map(({ original }) => original));
    await this.#fetchQuality(pictures.map(({ original }) => original));

    const warnings: Record<string, Warning[]> = {};
    for (const { id, original, facts, fixes } of pictures) {
      if (!('widthPx' in facts)) continue;
      const found = pictureWarnings(shownSize(facts, fixes), this.#quality.get(original) ?? null);
      if (found.length > 0) warnings[id] = found;
    }
    return {
      // One that could not be read is not asked for again and again; its size is judged all the same.
      unread: Math.max(0, unread.length - atATime),
      // While some are still to be read, grouping would only be done again in a moment.
      groups: unread.length > atATime ? [] : await this.#grouped(account, pictures),
      warnings,
    };
  }

  async #grouped(
    account: string,
    pictures: readonly { id: string; original: string }[],
  ): Promise<string[][]> {
    const known = pictures.filter(({ original }) => this.#quality.has(original));
    const of = known.map(({ id, original }) => `${id} ${original}`).join();
    const last = this.#groups.get(account);
    if (last?.of === of) return last.groups;
    const squareBytes = patchSquarePx ** 2;
    const squares = new Uint8Array(known.length * squareBytes);
    const hashes: string[] = [];
    const shapes: (readonly number[])[] = [];
    for (let from = 0; from < known.length; from += fetchedAtATime) {
      const some = known.slice(from, from + fetchedAtATime);
      const features = await this.#featuresOf(some.map(({ original }) => original));
      some.forEach(({ original }, at) => {
        const one = features.get(original);
        hashes.push(one?.hash ?? '');
        shapes.push(one?.shape ?? []);
        if (one) squares.set(Buffer.from(one.square, 'base64'), (from + at) * squareBytes);
      });
      await pause();
    }
    const ids = known.map(({ id }) => id);
    const groups = await this.#deps.looking.group({ ids, hashes, shapes, squares });
    this.#groups.set(account, { of, groups });
    return groups;
  }

  /** What is known of pictures, by original. */
  async #featuresOf(originals: readonly string[]): Promise<Map<string, PictureFeatures>> {
    const known = new Map<string, PictureFeatures>();
    for (let from = 0; from < originals.length; from += fetchedAtATime)
      for (const { original, features } of await this.#deps.db
        .select({ original: pictureFeatures.original, features: pictureFeatures.features })
        .from(pictureFeatures)
        .where(
          and(
            eq(pictureFeatures.version, featuresVersion),
            inArray(pictureFeatures.original, originals.slice(from, from + fetchedAtATime)),
          ),
        )) {
        // One that cannot be read stays as if it had not been.
        const read = pictureFeaturesSchema.safeParse(features);
        if (read.success) known.set(original, read.data);
      }
    return known;
  }

  /** Brings the quality of pictures into memory, where it is not yet. */
  async #fetchQuality(originals: readonly string[]): Promise<void> {
    const part = (name: keyof Quality) => sql<number>`(${pictureFeatures.features} -> ${name})::float8`;
    const wanted = [...new Set(originals)].filter((original) => !this.#quality.has(original));
    for (let from = 0; from < wanted.length; from += fetchedAtATime) {
      for (const { original, ...quality } of await this.#deps.db
        .select({
          original: pictureFeatures.original,
          blur: part('blur'),
          mean: part('mean'),
          bright: part('bright'),
        })
        .from(pictureFeatures)
        .where(
          and(
            eq(pictureFeatures.version, featuresVersion),
            inArray(pictureFeatures.original, wanted.slice(from, from + fetchedAtATime)),
          ),
        ))
        this.#quality.set(original, quality);
      await pause();
    }
  }

  /** Reads pictures and keeps what tells them apart. */
  async #read(originals: readonly string[]): Promise<void> {
    const { db, looking } = this.#deps;
    const read = await Promise.all(
      originals.map(async (original) => {
        const preview = await this.#preview(original);
        return { original, features: preview && (await looking.features(preview)) };
      }),
    );
    const rows = read.flatMap(({ original, features }) =>
      features ? [{ original, version: featuresVersion, features }] : [],
    );
    if (rows.length > 0) await db.insert(pictureFeatures).values(rows).onConflictDoNothing();
  }

  async #preview(original: string): Promise<Buffer | null> {
    const hash = await previewHash(this.#deps.db, original, 480);
    return hash ? this.#deps.blobs.read(hash) : null;
  }
}
