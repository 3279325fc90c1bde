import { performance } from 'node:perf_hooks';
import type { LineItem } from '#core/timeline/line-item.ts';
import { lineLayout } from '#core/timeline/line-layout.ts';
import { median, type Row } from './table.ts';

const rounds = 25;
/** A frame at sixty a second, in ms. */
const frameMs = 16;

/** A thousand moments over four years, in bursts, some of them known only roughly. */
function moments(): LineItem[] {
  let seed = 11;
  const next = (below: number) => (seed = (seed * 48271) % 2147483647) % below;
  return Array.from({ length: 1000 }, (_, n) => {
    const first = 20_000 + next(50) * 29 + next(9);
    const days = next(8) === 0 ? ([7, 30, 90, 365][next(4)] ?? 1) : 1;
    return { id: `moment-${n}`, first, last: first + days - 1 };
  });
}

/** Lays out the line of a thousand moments, folded and opened. */
export async function benchLine(): Promise<Row[]> {
  const items = moments();
  return (['true', 'even'] as const).map((spacing) => {
    const times = Array.from({ length: rounds }, (_, round) => {
      const from = performance.now();
      const { knots } = lineLayout(items, {
        ...{ spacing, px: 2 + round, open: new Set<number>(), rows: 4 },
        labelPx: () => 120,
      });
      if (knots.length !== items.length) throw new Error('The line of the bench lost moments.');
      return performance.now() - from;
    });
    const ours = median(times);
    return {
      what: `the line of 1,000 moments, ${spacing === 'true' ? 'true to time' : 'evenly spaced'}`,
      ours: `${ours.toFixed(1)} ms`,
      against: 'a frame',
      other: `${frameMs} ms`,
      ratio: ours / frameMs,
      wanted: 'under 16 ms',
      reached: ours < frameMs,
    };
  });
}
