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

/** How many pictures are decoded at once: one for each core. */
export const decodingWidth = (): number => availableParallelism();
