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

/** Invented heaps of which it is known what was made together. */
function heap(seed: number): { materials: DatedMaterial[]; truth: Map<string, number> } {
  let state = seed;
  const next = (below: number) => (state = (state * 48271) % 2147483647) % below;
  const truth = new Map<string, number>();
  const materials: DatedMaterial[] = [];
  let day = Date.parse('2025-09-08T00:00:00Z');
  for (let moment = 0; moment < 40; moment++) {
    day += (1 + next(9)) * 24 * 3600_000;
    // Some days have a morning and an evening, which are two.
    let time = day + (8 + next(3)) * 3600_000;
    const sittings = next(4) === 0 ? 2 : 1;
    for (let sitting = 0; sitting < sittings; sitting++) {
      const pictures = 2 + next(14);
      for (let n = 0; n < pictures; n++) {
        const id = `m${materials.length}`;
        materials.push(taken(id, new Date(time).toISOString().slice(0, 19)));
        truth.set(id, moment * 2 + sitting);
        time += (next(6) === 0 ? 5 + next(20) : 1 + next(3)) * 60_000;
      }
      time += (5 + next(3)) * 3600_000;
    }
  }
  return { materials, truth };
}

test('of invented heaps nearly all moments are found as they were', () => {
  let [moments, exact, merged, split] = [0, 0, 0, 0];
  for (let seed = 1; seed <= 20; seed++) {
    const { materials, truth } = heap(seed);
    const sizes = new Map<number, number>();
    for (const of of truth.values()) sizes.set(of, (sizes.get(of) ?? 0) + 1);
    moments += sizes.size;
    const seen = new Map<number, number>();
    for (const { materials: ids } of propose(materials)) {
      const of = new Set(ids.map((id) => truth.get(id) ?? -1));
      if (of.size > 1) merged++;
      else {
        const [one = -1] = of;
        if (ids.length === sizes.get(one)) exact++;
        seen.set(one, (seen.get(one) ?? 0) + 1);
      }
    }
    split += [...seen.values()].filter((times) => times > 1).length;
  }
  // The numbers themselves are in docs once a room shows them; here they may only not get worse.
  expect(exact / moments).toBeGreaterThan(0.9);
  expect(merged / moments).toBeLessThan(0.05);
  expect(split / moments).toBeLessThan(0.05);
});
