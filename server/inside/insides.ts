import { LRUCache } from 'lru-cache';
import { createHash } from 'node:crypto';
import { saidOf, wordsOn } from '#core/check/words-on.ts';
import type { DocumentContent } from '#core/materials/document.ts';
import { materialsOn } from '#core/pages/materials-on.ts';
import { isShown } from '#core/pages/page.ts';
import type { InsideFound } from '#core/personal/inside.ts';
import type { Draft } from '#core/sites/site.ts';
import type { Database } from '../db/connect.ts';
import { contentsOf, picturesIn } from '../documents/document-contents.ts';
import type { FaceFinder } from '../faces/face-finder.ts';
import type { Looking } from '../looking/looking.ts';
import type { BlobStore } from '../media/blob-store.ts';
import type { LookInside } from './look-inside.ts';
import { type PictureReading, type Readable, readingsOf, rememberReading } from './picture-readings.ts';
import type { Recogniser } from './recogniser.ts';
import { forFaces, forWords, type LookedInto, pixelsToRead, type ToRead, toRead } from './to-read.ts';

interface InsideDeps {
  db: Database;
  blobs: BlobStore;
  looking: Looking;
  recogniser: Recogniser;
  faceFinder: FaceFinder;
}

/** What is known of the insides of a site's documents and pictures. */
export interface KnownInside {
  /** Pictures and pages that were not looked through yet. */
  unread: number;
  /** That could not be. */
  unreadable: number;
  /** By material. */
  inside: Record<string, InsideFound[]>;
}

/** One request reads no longer than this, in ms, and then says how far it is. */
const atATimeMs = 4000;
/** What was found in so many files is remembered. */
const remembered = 5000;

/** What stands on pages of a site and can be looked into, put away or not. */
function standing({ pages, materials }: Pick<Draft, 'pages' | 'materials'>): LookedInto[] {
  const shown = new Set(pages.filter(isShown).flatMap(materialsOn));
  return materials.filter(
    (one): one is LookedInto => (one.kind === 'picture' || one.kind === 'document') && shown.has(one.id),
  );
}

/** The words of a site that readers may get. */
function wordsOf(draft: Pick<Draft, 'pages' | 'materials'>): string[] {
  const pages = draft.pages.filter(isShown);
  const on = new Set(pages.flatMap(materialsOn));
  return [
    ...pages.flatMap((page) => wordsOn(page).flatMap(({ texts }) => texts)),
    ...draft.materials.filter(({ id }) => on.has(id)).flatMap(saidOf),
  ];
}

type Readings = ReadonlyMap<string, ReadonlyMap<number, PictureReading>>;
const seenIn = (readings: Readings, { original, page }: Readable) => readings.get(original)?.get(page);

/**
 * Looks into documents and pictures for what somebody could be found by. Words of documents are there since they were taken in; what is
 * to be seen is looked for when their maker asks for it, once for each file.
 */
export class Insides {
  readonly #deps: InsideDeps;
  readonly #found = new LRUCache<string, InsideFound[]>({ max: remembered });
  /** What each account reads now: two tabs get one and the same work. */
  readonly #reading = new Map<string, Promise<void>>();
  #isStopping = false;

  constructor(deps: InsideDeps) {
    this.#deps = deps;
  }

  /**
   * @param people names the maker knows
   * @param today as ISO 8601 writes it
   */
  async known(draft: Draft, people: readonly string[], today: string): Promise<KnownInside> {
    const { all, readings } = await this.#toRead(draft);
    const inside: Record<string, InsideFound[]> = {};
    const { language, underAge, by } = draft.site;
    const asked = { language, underAge, today, people, by };
    const looked = await this.#lookedInto(all, readings, asked);
    for (const { id } of all.keys()) {
      const found = looked.get(id) ?? [];
      if (found.length > 0) inside[id] = found;
    }
    const once = new Map([...all.values()].flat().map((one) => [`${one.original} ${one.page}`, one]));
    const states = [...once.values()].map((one) => seenIn(readings, one));
    return {
      unread: states.filter((one) => one === undefined).length,
      unreadable: states.filter((one) => one && (one.words === null || one.faces === null)).length,
      inside,
    };
  }

  /** What looks like names of people in the words of its pages and in what is said of what stands there. */
  async named(draft: Draft): Promise<string[]> {
    return this.#deps.looking.people({ texts: wordsOf(draft), by: draft.site.by });
  }

  /** What is being looked through is given up, and not remembered as what could not be. */
  stop(): void {
    this.#isStopping = true;
  }

  /**
   * Reads some of what is unread, and comes back after a few seconds.
   *
   * @param signal stops it after the picture at hand
   */
  async readSome(account: string, draft: Draft, signal: AbortSignal): Promise<void> {
    const running = this.#reading.get(account);
    if (running) return running;
    const reading = this.#read(draft, signal).finally(() => this.#reading.delete(account));
    this.#reading.set(account, reading);
    return reading;
  }

  async #read(draft: Draft, signal: AbortSignal): Promise<void> {
    const { db, blobs } = this.#deps;
    const { all, readings } = await this.#toRead(draft);
    const unread = [...all.values()].flat().filter((one) => seenIn(readings, one) === undefined);
    const contents = await contentsOf(db, blobs, [...new Set(unread.map(({ original }) => original))]);
    const end = Date.now() + atATimeMs;
    const done = new Set<string>();
    for (const one of unread) {
      const name = `${one.original} ${one.page}`;
      if (done.has(name)) continue;
      if (signal.aborted || Date.now() > end) return;
      done.add(name);
      const ownWords = contents.get(one.original)?.pages[one.page]?.length ?? 0;
      const reading = await this.#seenIn(one, ownWords > 0, draft.site.language);
      if (this.#isStopping) return;
      await rememberReading(db, one, reading);
    }
  }

  /** @param hasWords of its own: nobody has to read them off it */
  async #seenIn(one: ToRead, hasWords: boolean, language: string): Promise<PictureReading> {
    const { blobs, recogniser, faceFinder } = this.#deps;
    const pixels = await pixelsToRead(blobs, one).catch(() => null);
    if (!pixels) return { words: null, faces: null };
    const [words, faces] = await Promise.all([
      hasWords
        ? []
        : forWords(pixels)
            .then((picture) => recogniser.words(picture, language))
            .catch(() => null),
      forFaces(pixels)
        .then((picture) => faceFinder.faces(picture))
        .catch(() => null),
    ]);
    return { words, faces };
  }

  /** What is to be looked through, by material, and what was seen where that was done. */
  async #toRead(draft: Draft): Promise<{ all: Map<LookedInto, ToRead[]>; readings: Readings }> {
    const { db } = this.#deps;
    const materials = standing(draft);
    const pictures = await picturesIn(
      db,
      materials.flatMap((one) =>
        one.kind === 'document' && one.facts.pages.length === 0 ? [one.original] : [],
      ),
    );
    const all = new Map(materials.map((one) => [one, toRead(one, pictures.get(one.original) ?? [])]));
    const originals = new Set([...all.values()].flat().map(({ original }) => original));
    return { all, readings: await readingsOf(db, [...originals]) };
  }

  /** What was found, by material. Words of documents are only fetched of those that were not looked into before. */
  async #lookedInto(
    all: ReadonlyMap<LookedInto, readonly ToRead[]>,
    readings: Readings,
    asked: Pick<LookInside, 'language' | 'underAge' | 'today' | 'people' | 'by'>,
  ): Promise<Map<string, InsideFound[]>> {
    const { db, blobs, looking } = this.#deps;
    const files = [...all].map(([material, pictures]) => {
      const seen = pictures.flatMap((one) => {
        const reading = seenIn(readings, one);
        return reading ? [{ page: one.at, ...reading }] : [];
      });
      const about = [material.original, material.kind, pictures.map(({ original }) => original), seen.length];
      const as = [asked.language, asked.underAge, asked.today.slice(0, 4), asked.people, asked.by];
      const key = createHash('sha256')
        .update(JSON.stringify([about, as]))
        .digest('hex');
      return { material, seen, key };
    });
    const found = new Map<string, InsideFound[]>();
    for (const { key } of files) {
      const before = this.#found.get(key);
      if (before) found.set(key, before);
    }
    const unknown = files.filter(({ key }) => !found.has(key));
    const contents = await contentsOf(db, blobs, [
      ...new Set(unknown.flatMap(({ material: one }) => (one.kind === 'document' ? [one.original] : []))),
    ]);
    for (const { material, seen, key } of unknown) {
      // Thousands of photographs that nobody looked through are no work.
      const isUnseen = material.kind === 'picture' && seen.length === 0;
      if (isUnseen || found.has(key)) continue;
      const content: DocumentContent | undefined = contents.get(material.original);
      const file = { pages: content?.pages ?? [], text: content?.pieces ?? [], seen };
      const now = await looking.inside({ ...file, ...asked });
      found.set(key, now);
      this.#found.set(key, now);
    }
    return new Map(files.map(({ material, key }) => [material.id, found.get(key) ?? []]));
  }
}
