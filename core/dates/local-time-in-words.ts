import { localTimeOf } from './local-time.ts';

/** A local time as a maker reads it: `Fri 4 Dec 2026, 20:00`. */
export function localTimeInWords(local: string): string {
  const asUtc = new Date(`${local}Z`);
  const day = new Intl.DateTimeFormat('en-GB', {
    ...{ timeZone: 'UTC', weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' },
  }).format(asUtc);
  return `${day.replace(/,/g, '')}, ${local.slice(11)}`;
}

/** An instant by clocks in a zone, in the same words. */
export const instantInWords = (instant: Date, zone: string): string =>
  localTimeInWords(localTimeOf(instant, zone));
