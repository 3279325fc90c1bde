import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { bandsOf, edgeMoved } from './bands.ts';

const of = (phases: string) =>
  [...phases].map((phase, at) => ({ id: `moment-${at}`, phase: phase === '-' ? null : phase }));
const phasesAfter = (phases: string, at: number, to: number): string => {
  const moments = of(phases);
  const changed = edgeMoved(moments, at, to);
  return moments
    .map(({ id, phase }) => (changed.has(id) ? (changed.get(id) ?? null) : phase) ?? '-')
    .join('');
};

describe('phases', () => {
  test('are bands of moments that follow each other', () => {
    const bands = bandsOf(of('aab-ba'));
    expect(bands.map(({ phase, moments }) => [phase, moments.length])).toEqual([
      ['a', 2],
      ['b', 1],
      [null, 1],
      ['b', 1],
      ['a', 1],
    ]);
  });

  test('grow over each other when their edge is moved, and none is lost by it', () => {
    expect(phasesAfter('aaabbb', 1, 2)).toBe('aabbbb');
    expect(phasesAfter('aaabbb', 1, 5)).toBe('aaaaab');
    expect(phasesAfter('aaabbb', 1, 0)).toBe('abbbbb');
    expect(phasesAfter('aaabbb', 1, 99)).toBe('aaaaab');
    expect(phasesAfter('aa--', 1, 3)).toBe('aaa-');
    // There is no edge before the first band, nor behind the last one.
    expect(phasesAfter('aab', 0, 1)).toBe('aab');
    expect(phasesAfter('aab', 2, 1)).toBe('aab');
  });

  test('stay as many, whatever edge is moved to wherever', () => {
    const phases = fc
      .array(fc.constantFrom('a', 'b', 'c', '-'), { minLength: 1, maxLength: 12 })
      .map((all) => all.join(''));
    fc.assert(
      fc.property(phases, fc.nat(12), fc.integer({ min: -2, max: 14 }), (all, at, to) => {
        const after = phasesAfter(all, at, to);
        const names = (text: string) => bandsOf(of(text)).map(({ phase }) => phase);
        expect(names(after)).toEqual(names(all));
        expect(after).toHaveLength(all.length);
      }),
    );
  });
});
