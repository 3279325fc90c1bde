/** After this long without a key, what was typed is taken over; in ms. */
const pauseMs = 250;
/** And at the latest this long after the last time, while somebody types on; in ms. */
const longestMs = 1000;

interface TypingPauseDeps {
  /** Takes over what stands there now. */
  take: () => void;
  /** Told when something waits to be taken over, and when nothing does any more. */
  onWaits?: (waits: boolean) => void;
  /** Runs something after some ms and gives what cancels it. */
  later?: (run: () => void, ms: number) => () => void;
  now?: () => number;
}

const afterMs = (run: () => void, ms: number): (() => void) => {
  const timer = setTimeout(run, ms);
  return () => clearTimeout(timer);
};

/**
 * When typed words are taken over into the page. The first key of a run at once, so that the studio never says "saved" of
 * words that are not; the next ones together, so that a key waits for its own letter and not for the whole page to be
 * drawn again.
 */
export class TypingPause {
  readonly #deps: TypingPauseDeps;
  #waiting: (() => void) | null = null;
  #tookAt = -Infinity;

  constructor(deps: TypingPauseDeps) {
    this.#deps = deps;
  }

  /** Something was typed that is not taken over yet. */
  get waits(): boolean {
    return this.#waiting !== null;
  }

  typed(): void {
    const { later = afterMs, now = () => performance.now(), onWaits } = this.#deps;
    const since = now() - this.#tookAt;
    if (this.#waiting) this.#waiting();
    else onWaits?.(true);
    const ms = since > longestMs ? 0 : Math.min(pauseMs, longestMs - since);
    this.#waiting = later(() => this.flush(), ms);
  }

  /** Takes over now, if there is anything. */
  flush(): void {
    if (!this.#waiting) return;
    const { now = () => performance.now(), onWaits, take } = this.#deps;
    this.#waiting();
    this.#waiting = null;
    this.#tookAt = now();
    take();
    onWaits?.(false);
  }
}
