import { generateKeyBetween } from 'fractional-indexing';
import { byRank } from './by-rank.ts';

/**
 * The rank that puts something at a place among others, counted without itself. Where others share one rank, it comes
 * before or after all of those that do.
 */
export function rankAt(others: readonly { id: string; rank: string }[], at: number): string {
  const ranks = [...others].sort(byRank).map(({ rank }) => rank);
  const before = ranks[at - 1] ?? null;
  const after = ranks.slice(at).find((rank) => before === null || rank > before) ?? null;
  return generateKeyBetween(before, after);
}
