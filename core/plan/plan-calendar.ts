import { TZDate } from '@date-fns/tz';
import ICAL from 'ical.js';
import type { Task } from '../parts/agenda.ts';

/** A task and the page whose agenda it is on. */
export interface PlannedTask {
  task: Task;
  page: string;
  /** An address where its maker can do something about it. */
  url: string;
}

/**
 * A maker's open tasks with a day as an iCalendar file (RFC 5545): events, since most calendars that follow an address show no to-dos.
 * A task without a time takes the whole day and leaves it free; one with a time stands at its moment in UTC, so that it falls right
 * wherever and in whichever half of the year it is looked at.
 *
 * @param stamp when it is made (RFC 5545, 3.8.7.2)
 */
export function planCalendar(
  tasks: readonly PlannedTask[],
  { name, stamp }: { name: string; stamp: Date },
): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Kite Wall//Plan//EN');
  // RFC 7986: what it is called, and how often it is worth asking for anew.
  calendar.addPropertyWithValue('name', name);
  calendar.addPropertyWithValue('refresh-interval', ICAL.Duration.fromString('PT1H'));
  for (const { task, page, url } of tasks) {
    const { day, time } = task;
    if (day === null || task.done !== null) continue;
    const event = new ICAL.Component('vevent');
    event.addPropertyWithValue('uid', `${task.id}@plan`);
    event.addPropertyWithValue('dtstamp', ICAL.Time.fromJSDate(stamp, true));
    event.addPropertyWithValue('summary', task.what);
    if (page !== '') event.addPropertyWithValue('description', page);
    event.addPropertyWithValue('url', url);
    event.addPropertyWithValue('transp', 'TRANSPARENT');
    if (time === null) {
      const start = ICAL.Time.fromDateString(day);
      event.addPropertyWithValue('dtstart', start);
      const end = start.clone();
      end.adjust(1, 0, 0, 0);
      event.addPropertyWithValue('dtend', end);
    } else {
      const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
      const [hour = 0, minute = 0] = time.split(':').map(Number);
      const at = new TZDate(year, month - 1, date, hour, minute, task.zone || 'UTC');
      event.addPropertyWithValue('dtstart', ICAL.Time.fromJSDate(new Date(at.getTime()), true));
    }
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}
