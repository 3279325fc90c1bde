import { addMonths, differenceInCalendarMonths, format, parseISO } from 'date-fns';
import type { Month } from '../pages/case-facts.ts';
import type { PartOf } from '../parts/parts.ts';
import { timedSections } from './sections.ts';

/** A stretch of months, both included. */
export interface Stretch {
  from: Month;
  to: Month;
  months: number;
}

/** Shorter ones nobody asks about (common practice); in months. */
const worthSaying = 3;

const asDate = (month: Month, last: boolean): Date =>
  parseISO(month.length === 4 ? `${month}-${last ? '12' : '01'}` : month);
const asMonth = (date: Date): Month => format(date, 'yyyy-MM');

/** From when until when an entry was; a year stands for all of it. Null where no beginning is known. */
function span(
  { from, to }: Pick<PartOf<'entry'>, 'from' | 'to'>,
  now: Month,
): { from: Date; to: Date } | null {
  if (from === null) return null;
  const end = to === 'now' ? asDate(now, true) : asDate(to ?? from, true);
  const start = asDate(from, false);
  return end < start ? null : { from: start, to: end };
}

/**
 * Stretches between the first and the last of what somebody learned and worked at in which there was nothing of it: readers notice
 * them, so their maker should first. Years count as whole, so a gap that only years leave open is none.
 *
 * @param entries of any section; those of a time count
 * @param now this month, which is where what goes on ends
 */
export function gaps(
  entries: readonly Pick<PartOf<'entry'>, 'section' | 'from' | 'to'>[],
  now: Month,
): Stretch[] {
  const spans = entries
    .filter(({ section }) => timedSections.includes(section))
    .flatMap((entry) => span(entry, now) ?? [])
    .sort((a, b) => a.from.getTime() - b.from.getTime());
  const found: Stretch[] = [];
  let until: Date | null = null;
  for (const { from, to } of spans) {
    if (until) {
      const months = differenceInCalendarMonths(from, until) - 1;
      if (months >= worthSaying)
        found.push({ from: asMonth(addMonths(until, 1)), to: asMonth(addMonths(from, -1)), months });
    }
    if (!until || to > until) until = to;
  }
  return found;
}

/**
 * Pairs of one section that were at the same time by more than a month, which may be a slip of a date.
 *
 * @returns their ids, the one that began first before the other
 */
export function overlaps(
  entries: readonly Pick<PartOf<'entry'>, 'id' | 'section' | 'from' | 'to'>[],
  now: Month,
): { first: string; second: string; months: number }[] {
  const timed = entries
    .filter(({ section }) => timedSections.includes(section))
    .flatMap((entry) => {
      const of = span(entry, now);
      // A year alone says nothing of months.
      return of && (entry.from?.length ?? 0) > 4 && entry.to?.length !== 4 ? [{ entry, of }] : [];
    })
    .sort((a, b) => a.of.from.getTime() - b.of.from.getTime());
  return timed.flatMap(({ entry, of }, at) =>
    timed.slice(at + 1).flatMap((other) => {
      if (other.entry.section !== entry.section) return [];
      const last = other.of.to < of.to ? other.of.to : of.to;
      const months = differenceInCalendarMonths(last, other.of.from) + 1;
      return months > 1 ? [{ first: entry.id, second: other.entry.id, months }] : [];
    }),
  );
}
