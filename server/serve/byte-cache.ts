import { LRUCache } from 'lru-cache';
import type { BlobStore } from '../media/blob-store.ts';

/** Keeps the bytes of small files that were asked for lately in memory, up to a total size. */
export class ByteCache {
  readonly #blobs: BlobStore;
  readonly #kept: LRUCache<string, Buffer>;

  constructor(blobs: BlobStore, mostBytes: number) {
    this.#blobs = blobs;
    this.#kept = new LRUCache({
      maxSize: mostBytes,
      sizeCalculation: ({ byteLength }) => Math.max(1, byteLength),
    });
  }

  async read(hash: string): Promise<Buffer> {
    const known = this.#kept.get(hash);
    if (known) return known;
    const bytes = await this.#blobs.read(hash);
    this.#kept.set(hash, bytes);
    return bytes;
  }
}
