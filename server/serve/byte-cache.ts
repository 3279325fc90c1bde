import type { BlobStore } from '../media/blob-store.ts';

/** Keeps the bytes of small files that were asked for lately in memory, up to a total size. */
export class ByteCache {
  readonly #blobs: BlobStore;
  readonly #mostBytes: number;
  readonly #kept = new Map<string, Buffer>();
  #total = 0;

  constructor(blobs: BlobStore, mostBytes: number) {
    this.#blobs = blobs;
    this.#mostBytes = mostBytes;
  }

  async read(hash: string): Promise<Buffer> {
    const known = this.#kept.get(hash);
    if (known) return known;
    const bytes = await this.#blobs.read(hash);
    this.#kept.set(hash, bytes);
    this.#total += bytes.byteLength;
    // A Map keeps the order of arrival: the oldest go first.
    for (const [oldest, old] of this.#kept) {
      if (this.#total <= this.#mostBytes || oldest === hash) break;
      this.#kept.delete(oldest);
      this.#total -= old.byteLength;
    }
    return bytes;
  }
}
