import { tzOffset } from '@date-fns/tz';
import ICAL from 'ical.js';
import type { AgendaDate } from '../parts/agenda.ts';

/** What was read out of a calendar file. */
export interface ReadCalendar {
  dates: Omit<AgendaDate, 'id' | 'height' | 'from'>[];
  /** How many more there were than are taken: before or after the time asked for, or too many. */
  left: number;
}

/** No series is followed further than this, however long it goes on. */
const mostOccurrences = 5000;
const dayMs = 86_400_000;

const two = (n: number): string => `${n}`.padStart(2, '0');
const dayOf = ({ year, month, day }: { year: number; month: number; day: number }): string =>
  `${`${year}`.padStart(4, '0')}-${two(month)}-${two(day)}`;

/** A time of a calendar by the clock in a zone. Without a zone of its own it is by whatever clock hangs there (RFC 5545, 3.3.5). */
function byClockIn(time: ICAL.Time, tzid: string, zone: string): { day: string; time: string | null } {
  if (time.isDate) return { day: dayOf(time), time: null };
  const isFloating = time.zone === ICAL.Timezone.localTimezone && tzid === '';
  if (isFloating || tzid === zone) return { day: dayOf(time), time: `${two(time.hour)}:${two(time.minute)}` };
  let at = time.toUnixTime() * 1000;
  // A zone that is only named, and not described in the file: what it is called in the IANA database.
  if (time.zone === ICAL.Timezone.localTimezone) {
    const asUtc = Date.UTC(time.year, time.month - 1, time.day, time.hour, time.minute, time.second);
    const offset = tzOffset(tzid, new Date(asUtc - tzOffset(tzid, new Date(asUtc)) * 60_000));
    if (Number.isNaN(offset)) return { day: dayOf(time), time: `${two(time.hour)}:${two(time.minute)}` };
    at = asUtc - offset * 60_000;
  }
  const there = new Date(at + tzOffset(zone, new Date(at)) * 60_000).toISOString();
  return { day: there.slice(0, 10), time: there.slice(11, 16) };
}

/** The day before. */
const dayBefore = (day: string): string => new Date(Date.parse(day) - dayMs).toISOString().slice(0, 10);

/**
 * Reads what takes place out of an iCalendar file (RFC 5545), recurring events one by one, with those that were left out or moved.
 *
 * @param zone the IANA time zone whose clock the times are told by
 * @param from first day that is taken, and to the last, as ISO 8601
 * @throws Error with a sentence where the file is no calendar
 */
export function readCalendar(
  text: string,
  { zone, from, to, most }: { zone: string; from: string; to: string; most: number },
): ReadCalendar {
  let calendar: ICAL.Component;
  try {
    const parsed: unknown = ICAL.parse(text.replace(/^\uFEFF/, ''));
    calendar = new ICAL.Component(parsed as unknown[]);
    if (calendar.name !== 'vcalendar') throw new Error('another thing');
  } catch {
    throw new Error(
      'This is no calendar that can be read. Export it as an iCalendar file (.ics) and bring that.',
    );
  }
  for (const described of calendar.getAllSubcomponents('vtimezone')) {
    const own = new ICAL.Timezone(described);
    if (!ICAL.TimezoneService.has(own.tzid)) ICAL.TimezoneService.register(own);
  }
  const dates: ReadCalendar['dates'] = [];
  let left = 0;
  const take = (event: ICAL.Event, start: ICAL.Time, end: ICAL.Time | null, tzid: string): void => {
    const begins = byClockIn(start, tzid, zone);
    const ends = end && byClockIn(end, tzid, zone);
    // The end of whole days is the day after (RFC 5545, 3.6.1); what ends at midnight ends on the day before.
    const last =
      ends && (ends.time === null || ends.time === '00:00') && ends.day > begins.day
        ? dayBefore(ends.day)
        : ends?.day;
    if ((last ?? begins.day) < from || begins.day > to) {
      left += 1;
      return;
    }
    const what = (event.summary ?? '').replace(/\s+/g, ' ').trim().slice(0, 200);
    const place = (event.location ?? '').replace(/\s+/g, ' ').trim().slice(0, 160);
    dates.push({
      ...{ kind: 'date', what: what || 'Without a title', ...begins, place },
      until: last !== undefined && last > begins.day ? last : null,
    });
  };
  const all = calendar.getAllSubcomponents('vevent');
  const moved = all.filter((one) => one.hasProperty('recurrence-id'));
  for (const component of all.filter((one) => !one.hasProperty('recurrence-id'))) {
    const start = component.getFirstProperty('dtstart');
    if (!start || component.getFirstPropertyValue('status') === 'CANCELLED') continue;
    const event = new ICAL.Event(component, { exceptions: [] });
    const tzid = String(start.getFirstParameter('tzid') ?? '');
    if (!event.isRecurring()) {
      take(event, event.startDate, event.endDate, tzid);
      continue;
    }
    for (const other of moved)
      if (other.getFirstPropertyValue('uid') === event.uid) event.relateException(new ICAL.Event(other));
    const series = event.iterator();
    for (let count = 0; count < mostOccurrences; count++) {
      const next = series.next();
      if (!next || dayOf(next) > to) break;
      const { item, startDate, endDate } = event.getOccurrenceDetails(next);
      if (item.component.getFirstPropertyValue('status') !== 'CANCELLED')
        take(item, startDate, endDate, tzid);
    }
  }
  dates.sort((a, b) => (`${a.day} ${a.time ?? ''}` < `${b.day} ${b.time ?? ''}` ? -1 : 1));
  const taken = dates.slice(0, most);
  return { dates: taken, left: left + dates.length - taken.length };
}
