import { availableParallelism } from 'node:os';
import { pathToFileURL } from 'node:url';
import { Piscina } from 'piscina';
import type { PictureFeatures } from '#core/gallery/picture-features.ts';
import type { InsideFound } from '#core/personal/inside.ts';
import type { LookInside } from '../inside/look-inside.ts';

/** Pictures to be compared, each in the same place of all four. */
export interface Compared {
  ids: string[];
  hashes: string[];
  shapes: (readonly number[])[];
  /** 64 × 64 bytes of luminance of each, one after the other. */
  squares: Uint8Array<ArrayBuffer>;
}

/** Threads that had nothing to do for this long are ended, in ms. */
const idleMs = 20_000;

/** Threads in which pictures are told apart and files looked through, so that whoever saves meanwhile does not wait for it. */
export class Looking {
  readonly #threads: Piscina;

  /** @param program the built file of such a thread */
  constructor(program: string) {
    this.#threads = new Piscina({
      filename: pathToFileURL(program).href,
      minThreads: 0,
      maxThreads: Math.max(1, availableParallelism() - 1),
      idleTimeout: idleMs,
    });
  }

  /** @see lookAlikes */
  async group(compared: Compared): Promise<string[][]> {
    const transferList = [compared.squares.buffer];
    return (await this.#threads.run(compared, { name: 'group', transferList })) as string[][];
  }

  /** Reads what tells a picture from others out of its small preview; null where the bytes are no picture. */
  async features(preview: Uint8Array): Promise<PictureFeatures | null> {
    return (await this.#threads.run(preview, { name: 'features' })) as PictureFeatures | null;
  }

  /** @see lookInside */
  async inside(file: LookInside): Promise<InsideFound[]> {
    return (await this.#threads.run(file, { name: 'inside' })) as InsideFound[];
  }

  /** @see lookForPeople */
  async people(asked: { texts: readonly string[]; by: string }): Promise<string[]> {
    return (await this.#threads.run(asked, { name: 'people' })) as string[];
  }

  /** Ends the threads; what is being looked at is given up. */
  async close(): Promise<void> {
    await this.#threads.destroy();
  }
}
