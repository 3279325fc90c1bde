import { describe, expect, test } from '@jest/globals';
import ical, { type VEvent } from 'node-ical';
import { readCalendar } from './read-calendar.ts';

const file = (...lines: string[]): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Skerrin College//Timetable//EN',
    ...lines,
    'END:VCALENDAR',
    '',
  ].join('\r\n');
const event = (uid: string, ...lines: string[]): string[] => [
  ...['BEGIN:VEVENT', `UID:${uid}`, 'DTSTAMP:20260901T080000Z', ...lines, 'END:VEVENT'],
];
/** The rules of Central European Time as RFC 5545, 3.6.5 writes zones down. */
const berlin = [
  ...['BEGIN:VTIMEZONE', 'TZID:Europe/Berlin', 'BEGIN:DAYLIGHT', 'TZOFFSETFROM:+0100', 'TZOFFSETTO:+0200'],
  ...['DTSTART:19810329T020000', 'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU', 'TZNAME:CEST', 'END:DAYLIGHT'],
  ...['BEGIN:STANDARD', 'TZOFFSETFROM:+0200', 'TZOFFSETTO:+0100', 'DTSTART:19961027T030000'],
  ...['RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU', 'TZNAME:CET', 'END:STANDARD', 'END:VTIMEZONE'],
];
const asked = { zone: 'Europe/Berlin', from: '1990-01-01', to: '2030-12-31', most: 1000 };
const read = (text: string, more: Partial<typeof asked> = {}) => readCalendar(text, { ...asked, ...more });

/** What another parser, which has nothing to do with ours, makes of the same file: every start, as a moment in time. */
function starts(text: string): number[] {
  return Object.values(ical.sync.parseICS(text))
    .filter((one): one is VEvent => one?.type === 'VEVENT')
    .flatMap((one) =>
      ical.expandRecurringEvent(one, { from: new Date('1990-01-01'), to: new Date('2030-12-31T23:59:59') }),
    )
    .map(({ start }) => start.getTime())
    .sort((a, b) => a - b);
}
const inUtc = (text: string) =>
  read(text, { zone: 'UTC' }).dates.map(({ day, time }) => Date.parse(`${day}T${time ?? '00:00'}Z`));

// The worked examples of RFC 5545, 3.8.5.3, with the days that stand beside them there; written down from memory.
const newYork = 'DTSTART;TZID=America/New_York';
const examples: [string, string, string, string[]][] = [
  [
    'daily for 10 occurrences',
    `${newYork}:19970902T090000`,
    'FREQ=DAILY;COUNT=10',
    ['09-02', '09-03', '09-04', '09-05', '09-06', '09-07', '09-08', '09-09', '09-10', '09-11'],
  ],
  [
    'every 10 days, 5 occurrences',
    `${newYork}:19970902T090000`,
    'FREQ=DAILY;INTERVAL=10;COUNT=5',
    ['09-02', '09-12', '09-22', '10-02', '10-12'],
  ],
  [
    'weekly on Tuesday and Thursday for five weeks',
    `${newYork}:19970902T090000`,
    'FREQ=WEEKLY;UNTIL=19971007T000000Z;WKST=SU;BYDAY=TU,TH',
    ['09-02', '09-04', '09-09', '09-11', '09-16', '09-18', '09-23', '09-25', '09-30', '10-02'],
  ],
  [
    'every other week on Monday, Wednesday and Friday',
    `${newYork}:19970901T090000`,
    'FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR',
    [
      '09-01',
      '09-03',
      '09-05',
      '09-15',
      '09-17',
      '09-19',
      '09-29',
      '10-01',
      '10-03',
      '10-13',
      '10-15',
      '10-17',
      '10-27',
      '10-29',
      '10-31',
      '11-10',
      '11-12',
      '11-14',
      '11-24',
      '11-26',
      '11-28',
      '12-08',
      '12-10',
      '12-12',
      '12-22',
    ],
  ],
  [
    'monthly on the first Friday for 10 occurrences',
    `${newYork}:19970905T090000`,
    'FREQ=MONTHLY;COUNT=10;BYDAY=1FR',
    ['09-05', '10-03', '11-07', '12-05', '01-02', '02-06', '03-06', '04-03', '05-01', '06-05'],
  ],
  [
    'monthly on the third-to-the-last day',
    `${newYork}:19970928T090000`,
    'FREQ=MONTHLY;BYMONTHDAY=-3;COUNT=6',
    ['09-28', '10-29', '11-28', '12-29', '01-29', '02-26'],
  ],
  [
    'the second-to-last weekday of the month',
    `${newYork}:19970929T090000`,
    'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-2;COUNT=7',
    ['09-29', '10-30', '11-27', '12-30', '01-29', '02-26', '03-30'],
  ],
];

describe('readCalendar', () => {
  test.each(examples)('%s (RFC 5545)', (_, start, rule, days) => {
    const text = file(...event('example', start, `RRULE:${rule}`, 'SUMMARY:Example'));
    const { dates } = read(text, { zone: 'America/New_York' });
    expect(dates.map(({ day }) => day?.slice(5))).toEqual(days);
    expect(new Set(dates.map(({ time }) => time))).toEqual(new Set(['09:00']));
    expect(inUtc(text)).toEqual(starts(text));
  });

  test('a lecture at ten stays at ten when the clocks change, and moves for whoever lives elsewhere', () => {
    const lecture = event(
      ...([
        'lecture',
        'DTSTART;TZID=Europe/Berlin:20261013T100000',
        'DTEND;TZID=Europe/Berlin:20261013T113000',
      ] as const),
      ...['RRULE:FREQ=WEEKLY;COUNT=4', 'SUMMARY:Mechanisms', 'LOCATION:Room 4'],
    );
    // With the zone described in the file, and with its name only.
    for (const text of [file(...berlin, ...lecture), file(...lecture)]) {
      expect(read(text).dates).toEqual(
        ['2026-10-13', '2026-10-20', '2026-10-27', '2026-11-03'].map((day) => ({
          ...{ kind: 'date', what: 'Mechanisms', day, time: '10:00', until: null, place: 'Room 4' },
        })),
      );
      expect(read(text, { zone: 'UTC' }).dates.map(({ time }) => time)).toEqual([
        '08:00',
        '08:00',
        '09:00',
        '09:00',
      ]);
      // New York changes its clocks a week later.
      expect(read(text, { zone: 'America/New_York' }).dates.map(({ time }) => time)).toEqual([
        '04:00',
        '04:00',
        '05:00',
        '04:00',
      ]);
      expect(inUtc(text)).toEqual(starts(text));
    }
  });

  test('whole days have no time; of several the last day is said', () => {
    const { dates } = read(
      file(
        ...event('fair', 'DTSTART;VALUE=DATE:20261205', 'DTEND;VALUE=DATE:20261207', 'SUMMARY:Winter fair'),
        ...event('hand-in', 'DTSTART;VALUE=DATE:20261218', 'SUMMARY:Hand-in\\, all of it'),
      ),
    );
    expect(dates).toMatchObject([
      { what: 'Winter fair', day: '2026-12-05', time: null, until: '2026-12-06' },
      { what: 'Hand-in, all of it', day: '2026-12-18', time: null, until: null },
    ]);
  });

  test('what was left out, moved or called off is so here', () => {
    const series = event(
      ...(['crit', 'DTSTART;TZID=Europe/Berlin:20261102T140000', 'RRULE:FREQ=WEEKLY;COUNT=5'] as const),
      ...['EXDATE;TZID=Europe/Berlin:20261109T140000', 'SUMMARY:Crit'],
    );
    const moved = event(
      ...(['crit', 'RECURRENCE-ID;TZID=Europe/Berlin:20261116T140000'] as const),
      ...['DTSTART;TZID=Europe/Berlin:20261117T160000', 'SUMMARY:Crit\\, moved'],
    );
    const off = event('party', 'DTSTART:20261120T190000Z', 'STATUS:CANCELLED', 'SUMMARY:Party');
    const text = file(...berlin, ...series, ...moved, ...off);
    expect(read(text).dates.map(({ what, day, time }) => `${what} ${day} ${time}`)).toEqual([
      'Crit 2026-11-02 14:00',
      'Crit, moved 2026-11-17 16:00',
      'Crit 2026-11-23 14:00',
      'Crit 2026-11-30 14:00',
    ]);
  });

  test('a series without end goes on until the last day asked for; what is before or too much is counted', () => {
    const text = file(...event('always', 'DTSTART:20200106T090000', 'RRULE:FREQ=WEEKLY', 'SUMMARY:Always'));
    const { dates, left } = read(text, { from: '2026-11-01', to: '2026-11-30' });
    expect(dates.map(({ day }) => day)).toEqual([
      '2026-11-02',
      '2026-11-09',
      '2026-11-16',
      '2026-11-23',
      '2026-11-30',
    ]);
    expect(left).toBe(356);
    expect(read(text, { from: '2026-01-01', to: '2026-12-31', most: 10 })).toMatchObject({ left: 313 + 42 });
  });

  test('what is no calendar is said to be none', () => {
    for (const text of ['', 'Hello', 'BEGIN:VCARD\r\nFN:Ada\r\nEND:VCARD', 'BEGIN:VCALENDAR\r\nBEGIN:VEVENT'])
      expect(() => read(text)).toThrow('no calendar that can be read');
    expect(read(file()).dates).toEqual([]);
  });
});
