import { useEffect, useRef, useState } from 'react';

/** So close together two presses are one. */
const doublePressMs = 700;

export interface InTurns {
  /** How many there were when it began; null while nothing goes on. */
  of: number | null;
  problem: Error | null;
  start: () => void;
  stop: () => void;
}

/**
 * Does something that takes long, some of it at a time, until nothing is left or somebody stops it. Whoever leaves the room stops it.
 *
 * @param site whose it is
 * @param left how much is left now
 * @param turn does some of it, and tells how much is left then
 */
export function useInTurns(
  site: string,
  left: number,
  turn: (signal: AbortSignal) => Promise<number>,
): InTurns {
  const [of, setOf] = useState<number | null>(null);
  const [problem, setProblem] = useState<Error | null>(null);
  const running = useRef<{ mine: AbortController; since: number } | null>(null);
  useEffect(() => () => running.current?.mine.abort(), [site]);
  const go = async (signal: AbortSignal) => {
    for (let before = left; before > 0;) {
      const after = await turn(signal);
      // None of what is left can be done now, such as where another window put it away.
      if (after >= before) return;
      before = after;
    }
  };
  return {
    of,
    problem,
    start: () => {
      const mine = new AbortController();
      running.current = { mine, since: Date.now() };
      setProblem(null);
      setOf(left);
      void go(mine.signal)
        .catch((error: unknown) => {
          if (!mine.signal.aborted) setProblem(error instanceof Error ? error : new Error(String(error)));
        })
        .finally(() => {
          if (running.current?.mine === mine) setOf(null);
        });
    },
    // What stops it stands where it was begun: the second half of a double press is meant for neither.
    stop: () => {
      if (running.current && Date.now() - running.current.since > doublePressMs) running.current.mine.abort();
    },
  };
}
