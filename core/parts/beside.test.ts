import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { movedPart, placeAfter, standingBeside } from './beside.ts';

const part = (id: string, other?: string, share = 0.5) => ({
  id,
  ...(other ? { beside: { with: other, share } } : {}),
});

describe('parts beside each other', () => {
  test('a part stands beside the one it names, if that is right before it', () => {
    expect(standingBeside([part('a'), part('b', 'a', 0.3)])).toEqual([null, 0.3]);
    expect(standingBeside([part('a'), part('x'), part('b', 'a')])).toEqual([null, null, null]);
    expect(standingBeside([part('b', 'a'), part('a')])).toEqual([null, null]);
  });

  test('a third does not fit beside two', () =>
    expect(standingBeside([part('a'), part('b', 'a'), part('c', 'b')])).toEqual([null, 0.5, null]));

  test('two that trade places stay beside each other, each as wide as before', () => {
    const moved = movedPart([part('x'), part('a'), part('b', 'a', 0.3)], 2, 1);
    expect(moved.map(({ id }) => id)).toEqual(['x', 'b', 'a']);
    expect(standingBeside(moved)).toEqual([null, null, 0.7]);
  });

  test('nothing is put between two', () => {
    expect(placeAfter([part('a'), part('b', 'a'), part('c')], 0)).toBe(2);
    expect(placeAfter([part('a'), part('b', 'a'), part('c')], 1)).toBe(2);
  });

  const list = fc
    .array(fc.record({ pair: fc.boolean(), share: fc.constantFrom(0.3, 0.5, 0.7) }), { maxLength: 8 })
    .map((specs) =>
      specs.map(({ pair, share }, at) => part(`p${at}`, pair && at > 0 ? `p${at - 1}` : undefined, share)),
    );

  test('moving keeps every part once, and moving there and back gives the same pairs', () => {
    fc.assert(
      fc.property(list, fc.nat(7), fc.nat(7), (parts, from, to) => {
        fc.pre(from < parts.length && to < parts.length);
        const moved = movedPart(parts, from, to);
        const ids = parts.map(({ id }) => id);
        expect(moved.map(({ id }) => id).sort()).toEqual([...ids].sort());
        expect(moved[to]?.id).toBe(ids[from]);
        const back = movedPart(moved, to, from);
        expect(back.map(({ id }) => id)).toEqual(ids);
        expect(standingBeside(back)).toEqual(standingBeside(parts));
      }),
    );
  });

  test('never two in a row stand beside the one before', () => {
    fc.assert(
      fc.property(list, (parts) => {
        const beside = standingBeside(parts);
        beside.forEach((share, at) => {
          if (share !== null) expect(beside[at - 1]).toBeNull();
        });
      }),
    );
  });
});
