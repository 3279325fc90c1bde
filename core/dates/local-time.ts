import { tzOffset } from '@date-fns/tz';
import { addMinutes, isValid, parseISO } from 'date-fns';
import { z } from 'zod';

/** The name of a time zone, as the IANA Time Zone Database has it. */
export const timeZoneSchema = z
  .string()
  .max(64)
  .refine((zone) => isTimeZone(zone), 'Nobody here knows this time zone.');

/** What a clock on a wall shows: `2026-12-04T20:00`. */
export const localTimeSchema = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'Say a day and a time.')
  .refine((local) => isValid(parseISO(`${local}Z`)), 'There is no such day or time.');

/** Whether the computer knows a time zone of this name. */
export function isTimeZone(zone: string): boolean {
  try {
    return zone !== '' && Boolean(new Intl.DateTimeFormat('en', { timeZone: zone }));
  } catch {
    return false;
  }
}

/** What clocks in a zone show at an instant. */
export const localTimeOf = (instant: Date, zone: string): string =>
  addMinutes(instant, tzOffset(zone, instant)).toISOString().slice(0, 16);

/**
 * The instant at which clocks in a zone show a time. Clocks that are put back show an hour twice, and clocks that are put forward leave
 * one out: what opens then does so at the first of two, and what closes at the last; a time that is left out is as long after the change
 * as it says (RFC 5545, 3.3.5).
 *
 * @param local see `localTimeSchema`
 */
export function instantOf(local: string, zone: string, which: 'first' | 'last'): Date {
  const asUtc = parseISO(`${local}Z`);
  // Offsets a day before and after are those of both sides of any change that is near.
  const [before, after] = [-1, 1].map((days) => addMinutes(asUtc, days * 24 * 60));
  const offsets = [tzOffset(zone, before ?? asUtc), tzOffset(zone, after ?? asUtc)];
  const instants = offsets.map((minutes) => addMinutes(asUtc, -minutes));
  const shown = instants
    .filter((instant) => localTimeOf(instant, zone) === local)
    .sort((a, b) => a.getTime() - b.getTime());
  // Left out by the change: counted with what clocks showed before it.
  return (which === 'first' ? shown[0] : shown.at(-1)) ?? instants[0] ?? asUtc;
}
