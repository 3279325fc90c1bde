import { describe, expect, test } from '@jest/globals';
import { proofsOf, verdictOf } from './evidence.ts';

const proof = (page: string, part: string | null = null) => ({ page, part });
const entry = (
  proofs: ReturnType<typeof proof>[],
  lineProofs: ReturnType<typeof proof>[] = [],
  page: string | null = null,
) => ({
  ...{ proofs, page },
  lines: lineProofs.map((one, at) => ({ id: `line-${at}`, text: '', proof: one })),
});
const only =
  (...open: string[]) =>
  (of: { page: string }) =>
    open.includes(of.page);

describe('how well an entry is shown', () => {
  test('goes by what its readers can open', () => {
    const two = entry([proof('clock')], [proof('hotel')]);
    expect(verdictOf(two, only('clock', 'hotel'))).toBe('shown');
    expect(verdictOf(two, only('hotel'))).toBe('thin');
    expect(verdictOf(two, only())).toBe('out-of-reach');
    expect(verdictOf(entry([]), only('clock'))).toBe('claimed');
  });

  test('a project is shown by its page, and one proof named twice is one', () => {
    expect(verdictOf(entry([], [], 'clock'), only('clock'))).toBe('shown');
    expect(verdictOf(entry([], [], 'clock'), only())).toBe('out-of-reach');
    const twice = entry([proof('clock'), proof('clock', 'part-1')], [proof('clock')]);
    expect(proofsOf(twice)).toEqual([proof('clock'), proof('clock', 'part-1')]);
    expect(verdictOf(entry([proof('clock')], [proof('clock')]), only('clock'))).toBe('thin');
  });
});
