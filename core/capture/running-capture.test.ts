import { expect, test } from '@jest/globals';
import { runningCapture } from './running-capture.ts';

const minute = 60_000;
const last = { page: 'clock-page', capture: 'first-moment', at: 1000 * minute };

test.each([
  [0, 'first-moment'],
  [20, 'first-moment'],
  [20.01, null],
  [-90, 'first-moment'],
])('%s minutes after the last thing: %s', (minutes, capture) => {
  expect(runningCapture(last, 'clock-page', last.at + minutes * minute)).toBe(capture);
});

test('another page begins a moment of its own, and so does the first thing ever', () => {
  expect(runningCapture(last, 'lamp-page', last.at)).toBeNull();
  expect(runningCapture(null, 'clock-page', last.at)).toBeNull();
});

test('a long afternoon is one moment as long as nothing pauses for more than twenty minutes', () => {
  let at = 0;
  let kept: typeof last | null = null;
  const moments = new Set<string>();
  for (const pause of [0, 5, 19, 20, 18, 21, 3, 60, 1]) {
    at += pause * minute;
    const capture: string = runningCapture(kept, 'clock-page', at) ?? `moment-${at}`;
    moments.add(capture);
    kept = { page: 'clock-page', capture, at };
  }
  expect(moments.size).toBe(3);
});
