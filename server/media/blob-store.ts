import { createHash, randomBytes } from 'node:crypto';
import { createReadStream, createWriteStream, type ReadStream } from 'node:fs';
import { mkdir, open, readdir, readFile, rename, rm, stat, utimes } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Problem } from '../http/problem.ts';

/** A file on its way in: complete on disk, with its hash, and not yet part of the store. */
export interface Arrival {
  path: string;
  hash: string;
  bytes: number;
}

/** Bytes by their SHA-256. Small on purpose, so that any object store can stand in for the folder. */
export interface BlobStore {
  put(contents: Uint8Array): Promise<string>;
  /**
   * Takes in a stream; stops and forgets it when it grows over the limit, or when nothing arrives any more.
   *
   * @param stallMs how long nothing may arrive, in ms
   */
  receive(stream: Readable, mostBytes: number, stallMs?: number): Promise<Arrival>;
  keep(arrival: Arrival): Promise<void>;
  discard(arrival: Arrival): Promise<void>;
  has(hash: string): Promise<boolean>;
  read(hash: string): Promise<Buffer>;
  sizeOf(hash: string): Promise<{ size: number }>;
  stream(hash: string, range?: { start: number; end: number }): ReadStream;
  /** Where the bytes are, for tools that read files themselves. */
  pathOf(hash: string): string;
  /** Everything in the store, with when it was last put there, in ms since 1970. */
  all(): AsyncIterable<{ hash: string; bytes: number; changedAt: number }>;
  /** Takes a file away unless it was put there again since then; its size, or null when it stayed. */
  removeIfOlder(hash: string, than: number): Promise<number | null>;
  /** What `removeIfOlder` would answer. */
  sizeIfOlder(hash: string, than: number): Promise<number | null>;
}

/** Makes sure that the names in a folder outlive a power cut. */
async function synced(folder: string): Promise<void> {
  const directory = await open(folder, 'r');
  await directory.sync().finally(() => directory.close());
}

/** A content-addressed folder. A file appears under its name only when all its bytes are on the disk. */
export class FolderBlobStore implements BlobStore {
  readonly #folder: string;
  readonly #arriving: string;

  private constructor(folder: string) {
    this.#folder = folder;
    this.#arriving = join(folder, 'arriving');
  }

  /** Opens the folder; whatever was still arriving when the last process ended is swept away. */
  static async open(folder: string): Promise<FolderBlobStore> {
    const store = new FolderBlobStore(folder);
    await rm(store.#arriving, { recursive: true, force: true });
    await mkdir(store.#arriving, { recursive: true });
    return store;
  }

  /** The same folder, for a process that only helps the one that owns it. */
  static attach(folder: string): FolderBlobStore {
    return new FolderBlobStore(folder);
  }

  pathOf(hash: string): string {
    if (!/^[0-9a-f]{64}$/.test(hash)) throw new Error(`Not a hash: ${hash}`);
    return join(this.#folder, hash.slice(0, 2), hash.slice(2));
  }

  async put(contents: Uint8Array): Promise<string> {
    const hash = createHash('sha256').update(contents).digest('hex');
    if (await this.has(hash)) {
      // It is wanted again: a sweep that is on its way must not take it.
      const now = new Date();
      await utimes(this.pathOf(hash), now, now);
      return hash;
    }
    const path = this.#newArrival();
    const file = await open(path, 'w');
    await file.writeFile(contents);
    await file.sync();
    await file.close();
    await this.keep({ path, hash, bytes: contents.byteLength });
    return hash;
  }

  async receive(stream: Readable, mostBytes: number, stallMs = 60_000): Promise<Arrival> {
    const path = this.#newArrival();
    // As long as bytes arrive, they may arrive slowly; when none do, the file is given up.
    const stalled = new AbortController();
    let timer = setTimeout(() => stalled.abort(), stallMs);
    const digest = createHash('sha256');
    let bytes = 0;
    try {
      await pipeline(
        stream,
        async function* (chunks: AsyncIterable<Buffer>) {
          for await (const chunk of chunks) {
            bytes += chunk.length;
            clearTimeout(timer);
            timer = setTimeout(() => stalled.abort(), stallMs);
            if (bytes > mostBytes)
              throw new Problem(
                413,
                'too-many-bytes',
                `This file is larger than ${Math.round(mostBytes / 1024 / 1024)} MB. Save it smaller and add it again.`,
              );
            digest.update(chunk);
            yield chunk;
          }
        },
        createWriteStream(path, { flush: true }),
        { signal: stalled.signal },
      );
    } catch (error) {
      await rm(path, { force: true });
      if (stalled.signal.aborted)
        throw new Problem(
          408,
          'stalled',
          'Nothing more of this file arrived for a minute, so it was given up. Nothing was stored; try again.',
        );
      throw error;
    } finally {
      clearTimeout(timer);
    }
    return { path, hash: digest.digest('hex'), bytes };
  }

  async keep(arrival: Arrival): Promise<void> {
    const target = this.pathOf(arrival.hash);
    const folder = dirname(target);
    const made = await mkdir(folder, { recursive: true });
    await rename(arrival.path, target);
    // The name has to be on the disk as well, before any row points at it.
    await synced(folder);
    if (made) await synced(this.#folder);
  }

  async discard(arrival: Arrival): Promise<void> {
    await rm(arrival.path, { force: true });
  }

  async has(hash: string): Promise<boolean> {
    return stat(this.pathOf(hash)).then(
      () => true,
      () => false,
    );
  }

  read(hash: string): Promise<Buffer> {
    return readFile(this.pathOf(hash));
  }

  sizeOf(hash: string): Promise<{ size: number }> {
    return stat(this.pathOf(hash));
  }

  stream(hash: string, range?: { start: number; end: number }): ReadStream {
    return createReadStream(this.pathOf(hash), range);
  }

  async *all(): AsyncIterable<{ hash: string; bytes: number; changedAt: number }> {
    for (const start of await readdir(this.#folder)) {
      if (!/^[0-9a-f]{2}$/.test(start)) continue;
      for (const rest of await readdir(join(this.#folder, start))) {
        const found = await stat(join(this.#folder, start, rest)).catch(() => null);
        if (found && /^[0-9a-f]{62}$/.test(rest))
          yield { hash: start + rest, bytes: found.size, changedAt: found.mtimeMs };
      }
    }
  }

  async removeIfOlder(hash: string, than: number): Promise<number | null> {
    const bytes = await this.sizeIfOlder(hash, than);
    if (bytes !== null) await rm(this.pathOf(hash), { force: true });
    return bytes;
  }

  async sizeIfOlder(hash: string, than: number): Promise<number | null> {
    const found = await stat(this.pathOf(hash)).catch(() => null);
    return found && found.mtimeMs <= than ? found.size : null;
  }

  #newArrival(): string {
    return join(this.#arriving, randomBytes(12).toString('hex'));
  }
}
