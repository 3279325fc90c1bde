import { describe, expect, test } from '@jest/globals';
import { TypingPause } from './typing-pause.ts';

/** A clock that is moved by hand. */
function onClock() {
  let now = 0;
  let planned: { at: number; run: () => void } | null = null;
  const taken: number[] = [];
  const waits: boolean[] = [];
  const pause = new TypingPause({
    take: () => taken.push(now),
    onWaits: (does) => waits.push(does),
    later: (run, ms) => {
      planned = { at: now + ms, run };
      return () => (planned = null);
    },
    now: () => now,
  });
  const pass = (ms: number) => {
    const end = now + ms;
    while (planned && planned.at <= end) {
      now = planned.at;
      const { run } = planned;
      planned = null;
      run();
    }
    now = end;
  };
  return { pause, pass, taken, waits };
}

describe('when typed words are taken over', () => {
  test('the first key at once, what follows after a pause', () => {
    const { pause, pass, taken } = onClock();
    pass(5000);
    pause.typed();
    pass(0);
    expect(taken).toEqual([5000]);
    pass(60);
    pause.typed();
    pass(60);
    pause.typed();
    pass(249);
    expect(taken).toEqual([5000]);
    expect(pause.waits).toBe(true);
    pass(1);
    expect(taken).toEqual([5000, 5370]);
    expect(pause.waits).toBe(false);
  });

  test('while somebody types on without a pause, once a second', () => {
    const { pause, pass, taken } = onClock();
    for (let key = 0; key < 60; key++) {
      pause.typed();
      pass(60);
    }
    pass(300);
    expect(taken.length).toBeGreaterThanOrEqual(4);
    expect(taken.length).toBeLessThanOrEqual(6);
    for (const [at, when] of taken.entries())
      if (at > 0) expect(when - (taken[at - 1] ?? 0)).toBeLessThanOrEqual(1060);
  });

  test('asked for, at once and only once; with nothing typed, never', () => {
    const { pause, pass, taken, waits } = onClock();
    pause.flush();
    expect(waits).toEqual([]);
    pause.typed();
    pass(0);
    pause.typed();
    pause.flush();
    pause.flush();
    pass(5000);
    expect(taken).toEqual([0, 0]);
    // From the key on, nobody can take what was typed for saved.
    expect(waits).toEqual([true, false, true, false]);
  });
});
