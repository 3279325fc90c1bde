import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { byRank } from './by-rank.ts';
import { rankAt } from './rank-at.ts';

describe('a rank at a place', () => {
  test('any number of moves gives the order that moving in a list gives', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(5), fc.nat(5)), { maxLength: 40 }), (moves) => {
        let things = ['a0', 'a1', 'a2', 'a3', 'a4', 'a5'].map((rank, at) => ({ id: `p${at}`, rank }));
        const order = things.map(({ id }) => id);
        for (const [from, to] of moves) {
          const sorted = [...things].sort(byRank);
          const moved = sorted[from];
          if (!moved) continue;
          const others = sorted.filter((one) => one !== moved);
          things = [...others, { ...moved, rank: rankAt(others, to) }];
          order.splice(to, 0, ...order.splice(from, 1));
        }
        expect([...things].sort(byRank).map(({ id }) => id)).toEqual(order);
      }),
    );
  });

  test('beyond the last it is the last', () => {
    const others = [{ id: 'a', rank: 'a0' }];
    expect(rankAt(others, 7) > 'a0').toBe(true);
    expect(rankAt(others, -1) < 'a0').toBe(true);
  });

  test('among equal ranks it comes after them instead of failing', () => {
    const others = [
      { id: 'a', rank: 'a0' },
      { id: 'b', rank: 'a0' },
      { id: 'c', rank: 'a1' },
    ];
    const rank = rankAt(others, 1);
    expect(rank > 'a0' && rank < 'a1').toBe(true);
  });
});
