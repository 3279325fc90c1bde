import { type Changed, Checker } from '#core/check/checker.ts';

/** What the worker is told, with a number by which its answer is known again. */
export interface Asked {
  at: number;
  changed: Changed;
}
/** What it noticed on the pages that it looked at. */
export interface Answered {
  at: number;
  found: ReturnType<Checker['take']>;
}

// Hundreds of pages are looked at here, so that the screen goes on.
const checker = new Checker();
self.onmessage = ({ data: { at, changed } }: MessageEvent<Asked>) => {
  self.postMessage({ at, found: checker.take(changed) } satisfies Answered);
};
