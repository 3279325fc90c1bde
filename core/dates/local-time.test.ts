import { describe, expect, test } from '@jest/globals';
import { TZDate } from '@date-fns/tz';
import fc from 'fast-check';
import { instantOf, isTimeZone, localTimeOf, localTimeSchema } from './local-time.ts';

const zones = [
  'UTC',
  'Europe/Berlin',
  'Europe/London',
  'America/New_York',
  'Australia/Lord_Howe',
  'Asia/Kolkata',
  'Pacific/Apia',
];
const minutes = fc
  .date({ min: new Date('2012-01-15T00:00:00Z'), max: new Date('2037-01-01T00:00:00Z'), noInvalidDate: true })
  .map((date) => new Date(Math.floor(date.getTime() / 60_000) * 60_000));

describe('instants of local times', () => {
  // The rule: European Union, Directive 2000/84/EC, last Sundays of March and October at 01:00 UTC.
  test.each([
    ['2026-03-29T01:59', 'Europe/Berlin', 'first', '2026-03-29T00:59:00.000Z'],
    ['2026-03-29T03:00', 'Europe/Berlin', 'first', '2026-03-29T01:00:00.000Z'],
    ['2026-10-25T01:59', 'Europe/Berlin', 'last', '2026-10-24T23:59:00.000Z'],
    ['2026-10-25T03:00', 'Europe/Berlin', 'first', '2026-10-25T02:00:00.000Z'],
    // United States, Energy Policy Act of 2005: second Sunday of March, first Sunday of November, at 02:00.
    ['2026-03-08T03:00', 'America/New_York', 'first', '2026-03-08T07:00:00.000Z'],
    ['2026-11-01T02:00', 'America/New_York', 'first', '2026-11-01T07:00:00.000Z'],
  ] as const)('%s in %s', (local, zone, which, instant) => {
    expect(instantOf(local, zone, which).toISOString()).toBe(instant);
  });

  test('an hour that is there twice begins with its first and ends with its last', () => {
    expect(instantOf('2026-10-25T02:30', 'Europe/Berlin', 'first').toISOString()).toBe(
      '2026-10-25T00:30:00.000Z',
    );
    expect(instantOf('2026-10-25T02:30', 'Europe/Berlin', 'last').toISOString()).toBe(
      '2026-10-25T01:30:00.000Z',
    );
    expect(instantOf('2026-11-01T01:30', 'America/New_York', 'first').toISOString()).toBe(
      '2026-11-01T05:30:00.000Z',
    );
    expect(instantOf('2026-11-01T01:30', 'America/New_York', 'last').toISOString()).toBe(
      '2026-11-01T06:30:00.000Z',
    );
  });

  // RFC 5545, 3.3.5 (from memory): a local time that does not occur is interpreted with the offset before the gap.
  test('a time that is left out is counted with what clocks showed before', () => {
    expect(instantOf('2026-03-29T02:30', 'Europe/Berlin', 'last').toISOString()).toBe(
      '2026-03-29T01:30:00.000Z',
    );
    expect(instantOf('2026-03-08T02:30', 'America/New_York', 'first').toISOString()).toBe(
      '2026-03-08T07:30:00.000Z',
    );
  });

  test('every instant is found again by what clocks show, but for one of an hour that is there twice', () => {
    fc.assert(
      fc.property(minutes, fc.constantFrom(...zones), (instant, zone) => {
        const local = localTimeOf(instant, zone);
        const [first, last] = [instantOf(local, zone, 'first'), instantOf(local, zone, 'last')];
        expect([first.getTime(), last.getTime()]).toContain(instant.getTime());
        expect(localTimeOf(first, zone)).toBe(local);
        expect(localTimeOf(last, zone)).toBe(local);
        expect(last.getTime() - first.getTime()).toBeLessThanOrEqual(3_600_000);
      }),
      { numRuns: 400 },
    );
  });

  test('clocks are read as another program reads them', () => {
    fc.assert(
      fc.property(minutes, fc.constantFrom(...zones), (instant, zone) => {
        const there = new TZDate(instant.getTime(), zone);
        expect(Number(localTimeOf(instant, zone).slice(11, 13))).toBe(there.getHours());
        const shown = new Intl.DateTimeFormat('sv-SE', {
          timeZone: zone,
          dateStyle: 'short',
          timeStyle: 'short',
        });
        expect(localTimeOf(instant, zone)).toBe(shown.format(instant).replace(' ', 'T'));
      }),
    );
  });
});

test('no zone and no time that there is not', () => {
  expect([isTimeZone('Europe/Berlin'), isTimeZone('Europe/Nowhere'), isTimeZone('')]).toEqual([
    true,
    false,
    false,
  ]);
  expect(localTimeSchema.safeParse('2026-02-30T10:00').success).toBe(false);
  expect(localTimeSchema.safeParse('2026-02-28T24:10').success).toBe(false);
  expect(localTimeSchema.safeParse('2026-02-28T23:10').success).toBe(true);
});
