import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { roughDateSchema } from '../dates/rough-date.ts';
import { type DatedMaterial, joinedProposals, proposedMoments } from './proposed-moments.ts';

const taken = (id: string, takenOn: string | null): DatedMaterial => ({ id, takenOn });
const none: ReadonlySet<string> = new Set();
const propose = (
  materials: readonly DatedMaterial[],
  more: { alike?: string[][]; refused?: string[] } = {},
) => proposedMoments(materials, [], more.alike ?? [], new Set(more.refused));

const bench = [
  taken('a', '2025-11-06T10:00:00'),
  taken('b', '2025-11-06T10:04:00'),
  taken('c', '2025-11-06T10:09:00'),
  taken('d', '2025-11-13'),
  taken('e', '2025-11'),
  taken('f', null),
];

describe('proposed moments', () => {
  test('are what was made together, with its date; a month alone says too little', () => {
    expect(propose(bench)).toMatchObject([
      { key: 'a', date: '2025-11-06', materials: ['a', 'b', 'c'], joins: null },
      { key: 'd', date: '2025-11-13', materials: ['d'], after: { why: 'long' } },
    ]);
  });

  test('over midnight are dated between two days', () => {
    const late = [taken('a', '2025-11-06T23:50:00'), taken('b', '2025-11-07T00:05:00')];
    expect(propose(late)).toMatchObject([{ date: '2025-11-06/2025-11-07', materials: ['a', 'b'] }]);
  });

  test('have of what looks alike the best one only', () => {
    expect(propose(bench, { alike: [['c', 'a']] })[0]).toMatchObject({ materials: ['b', 'c'], alike: ['a'] });
    // A look-alike of another day is another moment's.
    expect(propose(bench, { alike: [['d', 'a']] })[0]).toMatchObject({
      materials: ['a', 'b', 'c'],
      alike: [],
    });
  });

  test('join the only moment of their days, and leave out what is in one or was refused', () => {
    const gears = { id: 'gears', date: '2025-11-06', materials: ['b'] };
    const [first] = proposedMoments(bench, [gears], [], none);
    expect(first).toMatchObject({ materials: ['a', 'c'], joins: 'gears' });
    const two = proposedMoments(bench, [gears, { id: 'oil', date: '2025-W45', materials: [] }], [], none);
    expect(two[0]?.joins).toBeNull();
    expect(
      proposedMoments(bench, [{ id: 'year', date: '2025', materials: [] }], [], none)[0]?.joins,
    ).toBeNull();
    expect(propose(bench, { refused: ['a', 'b', 'c'] }).map(({ key }) => key)).toEqual(['d']);
  });

  test('what looks like something in a moment of its day is not proposed once more', () => {
    const gears = { id: 'gears', date: '2025-11-06', materials: ['b'] };
    const found = (groups: string[][]) =>
      proposedMoments(bench, [gears], groups, none).flatMap(({ materials }) => materials);
    expect(found([['b', 'a']])).toEqual(['c', 'd']);
    // That of another day is.
    expect(found([['b', 'd']])).toEqual(['a', 'c', 'd']);
  });

  test('two can be made one', () => {
    const [one, other] = propose(bench);
    if (!one || !other) throw new Error('There are two.');
    for (const joined of [joinedProposals(one, other), joinedProposals(other, one)])
      expect(joined).toMatchObject({
        key: 'a',
        date: '2025-11-06/2025-11-13',
        materials: ['a', 'b', 'c', 'd'],
      });
  });

  test('hold each dated material once, under dates that are dates', () => {
    const time = fc
      .date({ min: new Date('2024-01-01'), max: new Date('2026-12-31'), noInvalidDate: true })
      .chain((date) => fc.constantFrom(date.toISOString().slice(0, 19), date.toISOString().slice(0, 10)));
    fc.assert(
      fc.property(fc.array(time, { maxLength: 40 }), (times) => {
        const all = times.map((takenOn, n) => taken(`m${n}`, takenOn));
        const found = propose(all);
        expect(found.flatMap(({ materials }) => materials).sort()).toEqual(all.map(({ id }) => id).sort());
        for (const { date } of found) expect(roughDateSchema.safeParse(date).success).toBe(true);
      }),
    );
  });
});

interface Heap {
  materials: DatedMaterial[];
  /** Which moment each belongs to. */
  truth: Map<string, number>;
}

/** What an invented maker does: how many sittings a day has, how fast pictures follow, how long pauses and breaks are, in minutes. */
interface Habits {
  sittings: (next: (below: number) => number) => number;
  pictures: (next: (below: number) => number) => number;
  pace: (next: (below: number) => number) => number;
  gap: (next: (below: number) => number, pace: number) => number;
  break: (next: (below: number) => number) => number;
}

/** Forty days of somebody of whom it is known what was made together. The numbers are those of a Lehmer generator (minstd). */
function heap(seed: number, habits: Habits): Heap {
  let state = seed;
  const next = (below: number) => (state = (state * 48271) % 2147483647) % below;
  const truth = new Map<string, number>();
  const materials: DatedMaterial[] = [];
  let [day, moment] = [Date.parse('2025-09-08T00:00:00Z'), 0];
  for (let n = 0; n < 40; n++) {
    day += (1 + next(9)) * 24 * 3600_000;
    let time = day + (8 + next(3)) * 3600_000;
    const sittings = habits.sittings(next);
    for (let sitting = 0; sitting < sittings; sitting++) {
      const pictures = habits.pictures(next);
      const pace = habits.pace(next);
      for (let picture = 0; picture < pictures; picture++) {
        const id = `m${String(materials.length).padStart(4, '0')}`;
        materials.push(taken(id, new Date(time).toISOString().slice(0, 19)));
        truth.set(id, moment);
        time += habits.gap(next, pace) * 60_000;
      }
      moment++;
      time += habits.break(next) * 60_000;
    }
  }
  return { materials, truth };
}

/** Of twenty such heaps: moments that are there, those found as they were, proposals that hold several, and moments in several proposals. */
function measured(habits: Habits) {
  let [moments, exact, merged, split] = [0, 0, 0, 0];
  for (let seed = 1; seed <= 20; seed++) {
    const { materials, truth } = heap(seed, habits);
    const sizes = new Map<number, number>();
    for (const of of truth.values()) sizes.set(of, (sizes.get(of) ?? 0) + 1);
    moments += sizes.size;
    const seen = new Map<number, number>();
    for (const { materials: ids } of propose(materials)) {
      const of = new Set(ids.map((id) => truth.get(id) ?? -1));
      for (const one of of) seen.set(one, (seen.get(one) ?? 0) + 1);
      if (of.size > 1) merged++;
      else if (ids.length === sizes.get([...of][0] ?? -1)) exact++;
    }
    split += [...seen.values()].filter((times) => times > 1).length;
  }
  return { moments, exact, merged, split };
}

// These figures stand in docs/found-moments.md, too.
describe('of what was made together in invented heaps', () => {
  test('nearly all is found where breaks are long and pictures follow fast', () => {
    expect(
      measured({
        sittings: (next) => (next(4) === 0 ? 2 : 1),
        pictures: (next) => 2 + next(14),
        pace: () => 1,
        gap: (next) => (next(6) === 0 ? 5 + next(20) : 1 + next(3)),
        break: (next) => 300 + next(180),
      }),
    ).toEqual({ moments: 1023, exact: 1021, merged: 1, split: 0 });
  });

  test('two sittings of a day run together where breaks are short and pictures follow slowly; nothing is split', () => {
    expect(
      measured({
        sittings: (next) => 1 + Number(next(3) === 0) + Number(next(6) === 0),
        pictures: (next) => (next(5) === 0 ? 1 : 2 + next(14)),
        pace: (next) => 1 + next(12),
        gap: (next, pace) => (next(8) === 0 ? 15 + next(45) : 1 + next(2 * pace)),
        break: (next) => 90 + next(330),
      }),
    ).toEqual({ moments: 1213, exact: 798, merged: 202, split: 0 });
  });
});

/**
 * Real photographs with the times their cameras wrote: those of Debian's packages mate-backgrounds and plasma-workspace-wallpapers that
 * have one, as exiftool reads it. What one camera took on one day may belong together; what different people took cannot.
 */
const photographs: [time: string, camera: string][] = [
  ['2007-08-06T10:29:13', 'EOS Digital Rebel'],
  ['2008-01-22T03:28:22', 'EOS 350D'],
  ['2008-04-19T13:43:16', 'DiMAGE Z5'],
  ['2008-04-20T19:12:06', 'EOS 400D'],
  ['2014-04-29T14:25:26', 'NEX-3N'],
  ['2015-04-29T14:33:31', 'N9'],
  ['2015-06-21T01:43:36', 'E-M1'],
  ['2015-06-21T02:05:56', 'E-M1'],
  ['2015-07-21T16:17:44', 'E-M1'],
  ['2015-09-06T12:01:47', 'E-M1'],
  ['2015-09-06T18:46:57', 'E-M1'],
  ['2015-10-29T15:44:44', 'EOS 70D'],
  ['2020-02-19T16:35:05', 'DSC-RX100M4'],
];

test('of real photographs, those of different people and of different days are kept apart', () => {
  const found = propose(photographs.map(([time, camera], at) => taken(`${at} ${camera}`, time)));
  const occasions = found.map(({ materials }) =>
    materials
      .map((id) => photographs[Number(id.split(' ')[0])] ?? (['', ''] as const))
      .map(([time, camera]) => `${time.slice(0, 10)} ${camera}`),
  );
  // None holds two occasions, and no occasion is in two.
  for (const one of occasions) expect(new Set(one).size).toBe(1);
  expect(occasions).toHaveLength(
    new Set(photographs.map(([time, camera]) => `${time.slice(0, 10)} ${camera}`)).size,
  );
});
