import { describe, expect, test } from '@jest/globals';
import { type HandInLink, handInState, handInWarnings } from './hand-in-state.ts';

const now = new Date('2026-11-28T12:00:00Z');
const due = new Date('2026-12-11T17:00:00Z');
const link = (more: Partial<HandInLink> = {}): HandInLink => ({
  ...{ gone: false, renewed: false, pages: 3, pass: null, changed: [] },
  ...more,
});
const pass = (more: object = {}) =>
  link({ pass: { on: true, opensAt: null, closesAt: null, timeZone: 'UTC', ...more } });
const warnings = (of: HandInLink, handedAt: Date | null = null) =>
  handInWarnings(of, { dueAt: due, handedAt }, now);

describe('a hand-in', () => {
  test('is to do until it is due, late after that, and done once it is handed in', () => {
    expect(handInState({ dueAt: due, handedAt: null }, now)).toBe('to-do');
    expect(handInState({ dueAt: null, handedAt: null }, now)).toBe('to-do');
    expect(handInState({ dueAt: due, handedAt: null }, new Date('2026-12-11T17:00:01Z'))).toBe('late');
    expect(handInState({ dueAt: due, handedAt: now }, new Date('2027-01-01T00:00:00Z'))).toBe('handed-in');
  });

  test('with a link that opens then has nothing wrong', () => {
    expect(warnings(link())).toEqual([]);
    expect(warnings(pass({ opensAt: due, closesAt: new Date(due.getTime() + 1) }))).toEqual([]);
  });

  test('is warned of before it is due if its link would not open then', () => {
    expect(warnings(pass({ closesAt: new Date('2026-12-10T20:00:00Z') }))).toEqual([
      'Its pass closes Thu 10 Dec 2026, 20:00, before it is due.',
    ]);
    expect(warnings(pass({ opensAt: new Date('2026-12-12T08:00:00Z') }))).toEqual([
      'Its pass opens only from Sat 12 Dec 2026, 08:00.',
    ]);
    expect(warnings(pass({ on: false }))).toEqual(['Its pass is switched off.']);
    expect(warnings(link({ pages: 0 }))).toEqual(['Its link opens nothing now.']);
    expect(warnings(link({ gone: true, pages: 0 }))).toHaveLength(1);
  });

  test('is warned of once it is handed in if its link was made anew', () => {
    expect(warnings(link({ renewed: true }))).toEqual([]);
    expect(warnings(link({ renewed: true }), now)).toEqual([expect.stringMatching(/made anew since/)]);
  });

  test('is warned of once it is handed in if its readers find something else', () => {
    const changed = ['Lamp', 'Clock', 'About', 'Board'];
    expect(warnings(link({ changed }))).toEqual([]);
    expect(warnings(link({ changed }), now)).toEqual([
      'Changed since it was handed in: Lamp, Clock, About and 1 more.',
    ]);
  });
});
