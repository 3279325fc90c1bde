import { availableParallelism } from 'node:os';

/** Runs at most `width` tasks at a time, in the order they came; the rest wait. */
export class BoundedQueue {
  readonly #waiting: (() => void)[] = [];
  #running = 0;
  readonly #width: number;

  constructor(width: number) {
    this.#width = width;
  }

  async run<T>(task: () => Promise<T>): Promise<T> {
    if (this.#running >= this.#width) await new Promise<void>((resolve) => this.#waiting.push(resolve));
    this.#running++;
    try {
      return await task();
    } finally {
      this.#running--;
      this.#waiting.shift()?.();
    }
  }
}

/**
 * How many pictures are read at once: one for each core, and two more so that no core is idle while a file is opened,
 * written or asked for its date.
 */
export const decodingWidth = (): number => availableParallelism() + 2;
