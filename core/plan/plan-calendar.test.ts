import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import ical, { type VEvent } from 'node-ical';
import type { Task } from '../parts/agenda.ts';
import { planCalendar } from './plan-calendar.ts';

const task = (more: Partial<Task>): Task => ({
  ...{ id: 'task-one', height: 'private', kind: 'task', what: 'Hand in', day: '2026-12-18' },
  ...{ time: null, done: null, zone: 'Europe/Berlin', ...more },
});
const made = (...tasks: Task[]): string =>
  planCalendar(
    tasks.map((one) => ({ task: one, page: 'Tide clock', url: 'https://kite.example/plan' })),
    { name: 'Wren makes', stamp: new Date('2026-11-28T03:00:00Z') },
  );
/** Its events as another parser, which has nothing to do with ours, reads them. */
const eventsOf = (text: string): VEvent[] =>
  Object.values(ical.sync.parseICS(text)).filter((one): one is VEvent => one?.type === 'VEVENT');

describe('planCalendar', () => {
  test('a day is a whole day that ends on the next', () => {
    const [event] = eventsOf(made(task({})));
    expect(event).toMatchObject({ summary: 'Hand in', datetype: 'date', transparency: 'TRANSPARENT' });
    expect(made(task({ day: '2026-12-31' }))).toMatch(
      /DTSTART;VALUE=DATE:20261231\r\nDTEND;VALUE=DATE:20270101/,
    );
  });

  test('a time falls at the same clock before and after the clocks change', () => {
    const summer = task({ id: 'task-summer', day: '2026-10-24', time: '23:59' });
    const winter = task({ id: 'task-winter', day: '2026-10-25', time: '23:59' });
    expect(eventsOf(made(summer, winter)).map(({ start }) => start.toISOString())).toEqual([
      '2026-10-24T21:59:00.000Z',
      '2026-10-25T22:59:00.000Z',
    ]);
  });

  test('what is done, or has no day, is in none', () => {
    expect(eventsOf(made(task({ done: '2026-11-01' }), task({ day: null })))).toEqual([]);
  });

  test('no line is longer than 75 octets, lines end as they have to (RFC 5545, 3.1), and words come through whole', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 200 }), (said) => {
        const what = `a${said.replace(/[\p{Cc}\p{Zl}\p{Zp}\p{Cs}]/gu, '')}`.trim();
        const text = made(task({ what }));
        for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
        expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
        expect(eventsOf(text)[0]?.summary).toBe(what);
      }),
    );
  });
});
