import { LRUCache } from 'lru-cache';
import { createHash } from 'node:crypto';
import { type DocumentContent, pageSizePx } from '#core/materials/document.ts';
import type { Material } from '#core/materials/material.ts';
import { materialsOn } from '#core/pages/materials-on.ts';
import { isShown } from '#core/pages/page.ts';
import type { InsideFound } from '#core/personal/inside.ts';
import type { Draft } from '#core/sites/site.ts';
import type { Database } from '../db/connect.ts';
import { contentsOf } from '../documents/document-contents.ts';
import type { Looking } from '../looking/looking.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { fromRaw } from '../media/fixed-pixels.ts';
import { pixelsOf } from '../media/pixels-of.ts';
import type { Recogniser } from './recogniser.ts';
import { type Readable, rememberWords, wordsRead } from './picture-words.ts';

interface InsideDeps {
  db: Database;
  blobs: BlobStore;
  looking: Looking;
  recogniser: Recogniser;
}

/** What is known of the insides of a site's documents and pictures. */
export interface KnownInside {
  /** Pictures, and pages that are pictures, in which words were not looked for yet. */
  unread: number;
  /** In which none could be looked for. */
  unreadable: number;
  /** By material. */
  inside: Record<string, InsideFound[]>;
}

/** The longest side of a picture in which words are read, in pixels; finer ones take longer and tell no more. */
const sidePx = 2000;
/** Pages of one document that are read like pictures, at most: a scanned book is not somebody's papers. */
const mostScanned = 40;
/** One request reads no longer than this, in ms, and then says how far it is. */
const atATimeMs = 4000;
/** What was found in so many files is remembered. */
const remembered = 5000;

type LookedInto = Extract<Material, { kind: 'picture' | 'document' }>;

/** What stands on pages of a site and can be looked into, put away or not. */
function standing({ pages, materials }: Pick<Draft, 'pages' | 'materials'>): LookedInto[] {
  const shown = new Set(pages.filter(isShown).flatMap(materialsOn));
  return materials.filter(
    (one): one is LookedInto => (one.kind === 'picture' || one.kind === 'document') && shown.has(one.id),
  );
}

/** The pages of a document that have no words of their own, like those of a scanner. */
const scanned = (content: DocumentContent | undefined): number[] =>
  (content?.pages ?? []).flatMap((words, page) => (words.length === 0 ? [page] : [])).slice(0, mostScanned);

interface ToRead extends Readable {
  material: LookedInto;
}

const toRead = (material: LookedInto, content: DocumentContent | undefined): ToRead[] =>
  (material.kind === 'picture' ? [0] : scanned(content)).map((page) => ({
    ...{ material, page },
    original: material.original,
  }));

/**
 * Looks into documents and pictures for what somebody could be found by. Words of documents are there since they were taken in; those
 * in pictures are read when their maker asks for it, once for each file.
 */
export class Insides {
  readonly #deps: InsideDeps;
  readonly #found = new LRUCache<string, InsideFound[]>({ max: remembered });
  /** What each account reads now: two tabs get one and the same work. */
  readonly #reading = new Map<string, Promise<void>>();

  constructor(deps: InsideDeps) {
    this.#deps = deps;
  }

  /**
   * @param people names the maker knows
   * @param today as ISO 8601 writes it
   */
  async known(draft: Draft, people: readonly string[], today: string): Promise<KnownInside> {
    const all = standing(draft);
    const { contents, read } = await this.#readOf(all);
    const wanted = all.flatMap((one) => toRead(one, contents.get(one.original)));
    const of = ({ original, page }: Readable) => read.get(original)?.get(page);
    const inside: Record<string, InsideFound[]> = {};
    const { language, underAge } = draft.site;
    const asked = { language, underAge, today, people };
    for (const { id, kind, original } of all) {
      const found = await this.#lookedInto(
        { original, isPicture: kind === 'picture' },
        contents.get(original),
        read.get(original) ?? new Map(),
        asked,
      );
      if (found.length > 0) inside[id] = found;
    }
    const once = new Map(wanted.map((one) => [`${one.original} ${one.page}`, one]));
    const states = [...once.values()].map(of);
    return {
      unread: states.filter((one) => one === undefined).length,
      unreadable: states.filter((one) => one === null).length,
      inside,
    };
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
    const { db, recogniser } = this.#deps;
    const all = standing(draft);
    const { contents, read } = await this.#readOf(all);
    const end = Date.now() + atATimeMs;
    const done = new Set<string>();
    for (const one of all.flatMap((material) => toRead(material, contents.get(material.original)))) {
      const name = `${one.original} ${one.page}`;
      if (read.get(one.original)?.has(one.page) || done.has(name)) continue;
      if (signal.aborted || Date.now() > end) return;
      done.add(name);
      const picture = await this.#pictureOf(one).catch(() => null);
      const words = picture && (await recogniser.words(picture, draft.site.language));
      await rememberWords(db, one, words);
    }
  }

  /** As it lies in the file, where black-outs lie too. */
  async #pictureOf({ material, page }: ToRead): Promise<{ png: Buffer; width: number; height: number }> {
    const { original, facts } = material;
    const whole = 'pages' in facts ? facts.pages[page] && pageSizePx(facts.pages[page]) : facts;
    if (!whole) throw new Error(`No page ${page}.`);
    const { widthPx, heightPx } = whole;
    const scale = Math.min(1, sidePx / Math.max(widthPx, heightPx));
    const pixels = await pixelsOf(
      this.#deps.blobs,
      { original, page: material.kind === 'picture' ? null : page, fixes: {}, widthPx, heightPx },
      Math.max(1, Math.round(widthPx * scale)),
    );
    const { data, info } = await fromRaw(pixels)
      .flatten({ background: '#ffffff' })
      .greyscale()
      .png({ compressionLevel: 1 })
      .toBuffer({ resolveWithObject: true });
    return { png: data, width: info.width, height: info.height };
  }

  async #readOf(all: readonly LookedInto[]) {
    const { db, blobs } = this.#deps;
    const originals = [...new Set(all.map(({ original }) => original))];
    const documents = new Set(all.flatMap((one) => (one.kind === 'document' ? [one.original] : [])));
    return {
      contents: await contentsOf(db, blobs, [...documents]),
      read: await wordsRead(db, originals),
    };
  }

  async #lookedInto(
    file: { original: string; isPicture: boolean },
    content: DocumentContent | undefined,
    read: ReadonlyMap<number, DocumentContent['pages'][number] | null>,
    asked: { language: string; underAge: boolean; today: string; people: readonly string[] },
  ): Promise<InsideFound[]> {
    const known = [...read].filter(([, words]) => words !== null).length;
    const key = createHash('sha256')
      .update(
        JSON.stringify([file, known, asked.language, asked.underAge, asked.today.slice(0, 4), asked.people]),
      )
      .digest('hex');
    const before = this.#found.get(key);
    if (before) return before;
    const found = await this.#deps.looking.inside({
      pages: content?.pages ?? [],
      text: content ? content.pieces : [],
      seen: [...read].map(([page, words]) => ({ page, words: words ?? [] })),
      ...asked,
    });
    this.#found.set(key, found);
    return found;
  }
}
