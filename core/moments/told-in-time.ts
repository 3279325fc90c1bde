import { addDays, formatISO } from 'date-fns';
import { precisionOf } from '../dates/rough-date.ts';
import type { Id } from '../id.ts';
import { quietStretches } from '../timeline/quiet-stretches.ts';
import { lineItemOf } from './line-item-of.ts';

/** A moment with what of time lies before it. */
export interface Told<M> {
  moment: M;
  /** The quiet stretch before it, by its days, both included. */
  quiet: { first: string; last: string; days: number } | null;
  /** Days since the moment before, where both are known to the day; 0 is the same day. */
  later: number | null;
}

const isoDay = (day: number): string =>
  formatISO(addDays(new Date(1970, 0, 1), day), { representation: 'date' });

/**
 * Moments one after the other, with how much time lies between them.
 *
 * @param moments in time
 */
export function toldInTime<M extends { id: Id; date: string }>(moments: readonly M[]): Told<M>[] {
  const items = moments.map(lineItemOf);
  const quiet = quietStretches(items);
  let [taken, before]: [number, { first: number } | null] = [0, null];
  return moments.map((moment, n) => {
    const item = items[n];
    const next = quiet[taken];
    const isBehind = item !== undefined && next !== undefined && item.first > next.last;
    if (isBehind) taken++;
    // A rough date in between says nothing of how many days there were.
    const isDay = item !== undefined && precisionOf(moment.date) === 'day';
    const later = isDay && before ? item.first - before.first : null;
    before = isDay ? item : null;
    return {
      moment,
      quiet:
        isBehind && next ? { first: isoDay(next.first), last: isoDay(next.last), days: next.days } : null,
      later,
    };
  });
}
