import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Piscina } from 'piscina';
import type { SeenFace } from '#core/personal/faces-in.ts';
import type { Pixels } from './faces-worker.ts';

/** What was not used for so long, in ms, is let go. */
const idleMs = 20_000;
/** A picture that takes longer, in ms, is given up. */
const mostMs = 60_000;

/** Finds where faces are in pictures, one picture at a time, in a thread that is there only while it is needed. */
export class FaceFinder {
  readonly #thread: Piscina;
  #failed = new AbortController();

  /** @param folder with the built program and what it has learned */
  constructor(folder: string) {
    this.#thread = new Piscina({
      filename: pathToFileURL(join(folder, 'faces-worker.js')).href,
      ...{ minThreads: 0, maxThreads: 1, idleTimeout: idleMs },
    });
    // A thread that cannot begin is begun again and again, and what was asked of it would wait for that.
    this.#thread.on('error', () => {
      this.#failed.abort();
      this.#failed = new AbortController();
    });
  }

  /** @returns faces with their places as shares of the picture; null where it cannot be looked through */
  async faces({ data, width, height }: Pixels): Promise<SeenFace[] | null> {
    const pixels: Pixels = { data: new Uint8Array(data), width, height };
    return this.#thread
      .run(pixels, {
        name: 'faces',
        transferList: [pixels.data.buffer as ArrayBuffer],
        signal: AbortSignal.any([AbortSignal.timeout(mostMs), this.#failed.signal]),
      })
      .then((found) => found as SeenFace[])
      .catch(() => null);
  }

  /** Ends the thread; what is being looked through is given up. */
  async close(): Promise<void> {
    await this.#thread.destroy();
  }
}
