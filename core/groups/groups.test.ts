import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { starterList } from '../check/lists/starter-list.ts';
import { classStanding } from './class-standing.ts';
import { letterOf, returnedSchema } from './given-back.ts';
import { groupListSchema, groupTermsSchema } from './group.ts';
import { asChecklist, progressSaid, withoutTicks } from './list-of-group.ts';
import { missingPeople } from './missing-people.ts';

let ids = 0;
const newId = () => `line-id-${++ids}`;
const someone = (name: string) => ({ name, more: '' });

describe('who of a group has not joined', () => {
  test('is told by names, whatever their case, accents and spaces', () => {
    const people = ['Inés  Vale', 'juno', 'Odd-Marten', 'Łuk'].map(someone);
    const missing = (...joined: string[]) => missingPeople(people, joined).map(({ name }) => name);
    expect(missing()).toEqual(['Inés  Vale', 'juno', 'Odd-Marten', 'Łuk']);
    expect(missing('ines vale', 'Juno')).toEqual(['Odd-Marten', 'Łuk']);
    expect(missing('Odd Marten', 'Somebody else')).toEqual(['Inés  Vale', 'juno', 'Łuk']);
  });

  test('of two of one name each counts once', () => {
    const two = [someone('Juno'), { name: 'Juno', more: 'Thursday' }];
    expect(missingPeople(two, [])).toHaveLength(2);
    expect(missingPeople(two, ['juno'])).toEqual([{ name: 'Juno', more: 'Thursday' }]);
    expect(missingPeople(two, ['juno', 'JUNO'])).toEqual([]);
  });

  test('is everybody but those who joined, in the order of the group', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ minLength: 1 })), fc.array(fc.string()), (names, joined) => {
        const people = names.map(someone);
        const missing = missingPeople(people, joined);
        expect(missing.length).toBeGreaterThanOrEqual(people.length - joined.length);
        expect(people.filter((one) => missing.includes(one))).toEqual(missing);
        expect(missingPeople(people, names)).toEqual([]);
      }),
    );
  });
});

describe('the list of a group', () => {
  const list = starterList(newId);
  const ticked = {
    ...list,
    lines: [
      ...list.lines.map((line) => ({ ...line, done: true })),
      { id: 'empty-one', text: ' ', essential: true, rule: null, done: true },
    ],
  };

  test('holds what a list says, and nobody’s ticks', () => {
    const kept = withoutTicks(ticked);
    expect(JSON.stringify(kept)).not.toContain('done');
    expect(kept.lines.map(({ id }) => id)).toEqual(list.lines.map(({ id }) => id));
    expect(groupListSchema.parse(kept)).toEqual(kept);
  });

  test('is taken into a site with nothing ticked, its lines by the same ids', () => {
    expect(asChecklist(withoutTicks(ticked))).toEqual(list);
  });

  test('is as far as its maker says, whatever rules would say', () => {
    const kept = withoutTicks(list);
    const essentials = kept.lines.filter(({ essential }) => essential);
    const [first] = essentials;
    expect(progressSaid(kept, [])).toEqual({
      essentials: { done: 0, of: essentials.length },
      extras: { done: 0, of: kept.lines.length - essentials.length },
    });
    expect(progressSaid(kept, [first?.id ?? '', 'no-line']).essentials.done).toBe(1);
  });

  test('has each line once', () => {
    const [line] = withoutTicks(list).lines;
    const terms = { name: 'Class', people: [], list: { ...withoutTicks(list), lines: [line, line] } };
    expect(groupTermsSchema.safeParse(terms).error?.issues[0]?.message).toBe('Each line stands once.');
  });
});

describe('how one who joined stands', () => {
  const now = new Date('2026-12-01T12:00:00Z');
  const due = new Date('2026-12-11T17:00:00Z');
  const one = { handedAt: null, ended: false, pages: 0, progress: null };
  const essentials = (done: number) => ({ essentials: { done, of: 3 }, extras: { done: 0, of: 2 } });

  test('is to do until it is due, and late after', () => {
    expect(classStanding(one, due, now)).toEqual({ state: 'to-do', complete: false });
    expect(classStanding(one, due, new Date('2026-12-12'))).toEqual({ state: 'late', complete: false });
    expect(classStanding({ ...one, ended: true }, due, now).state).toBe('ended');
  });

  test('is complete once it is handed in, opens something, and every essential is ticked', () => {
    const handed = { ...one, handedAt: now, pages: 3 };
    expect(classStanding(handed, due, now)).toEqual({ state: 'handed-in', complete: true });
    expect(classStanding({ ...handed, pages: 0 }, due, now).complete).toBe(false);
    expect(classStanding({ ...handed, progress: essentials(2) }, due, now).complete).toBe(false);
    expect(classStanding({ ...handed, progress: essentials(3) }, due, now).complete).toBe(true);
    expect(classStanding({ ...handed, ended: true }, due, now).complete).toBe(false);
  });
});

test('a letter holds what was said, in the list’s order, and no line of which nothing was', () => {
  const list = withoutTicks(starterList(newId));
  const [a, b, c] = list.lines;
  const returned = returnedSchema.parse({
    lines: {
      [c?.id ?? '']: { level: 'there', words: '' },
      [a?.id ?? '']: { level: null, words: ' The hinge. ' },
      [b?.id ?? '']: { level: null, words: ' ' },
      'other-list': { level: 'there', words: 'x' },
    },
    words: ' Good. ',
  });
  expect(letterOf(list, returned)).toEqual({
    lines: [
      { id: a?.id, text: a?.text, level: null, words: 'The hinge.' },
      { id: c?.id, text: c?.text, level: 'there', words: '' },
    ],
    words: 'Good.',
  });
  expect(letterOf(null, returned)).toEqual({ lines: [], words: 'Good.' });
});
