import { addDays, format } from 'date-fns';
import type { ReadCalendar } from '#core/plan/read-calendar.ts';

/** Dates are taken from a month back until a little more than a year ahead. */
const daysBack = 31;
const daysAhead = 400;
const mostBytes = 5_000_000;
const givenUpAfterMs = 20_000;

/**
 * Reads what takes place out of a calendar file, by the clock of this device.
 *
 * @param most so many dates at most
 * @throws Error with a sentence where it cannot be read
 */
export async function readCalendarFile(file: File, most: number, now = new Date()): Promise<ReadCalendar> {
  if (file.size > mostBytes)
    throw new Error('This file is too large for a calendar. Export a single calendar from it.');
  const worker = new Worker(new URL('./calendar-worker.ts', import.meta.url), { type: 'module' });
  const day = (date: Date) => format(date, 'yyyy-MM-dd');
  try {
    const text = await file.text();
    return await new Promise<ReadCalendar>((resolve, reject) => {
      setTimeout(
        () => reject(new Error('Reading this calendar takes too long. Export fewer dates from it.')),
        givenUpAfterMs,
      );
      worker.onerror = () =>
        reject(new Error('This calendar cannot be read here. Reload the page and try again.'));
      worker.onmessage = ({ data }: MessageEvent<{ read: ReadCalendar } | { problem: string }>) =>
        'read' in data ? resolve(data.read) : reject(new Error(data.problem));
      const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
      worker.postMessage([
        text,
        { zone, from: day(addDays(now, -daysBack)), to: day(addDays(now, daysAhead)), most },
      ]);
    });
  } finally {
    worker.terminate();
  }
}
